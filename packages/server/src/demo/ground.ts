import { assumedDimension, PART_KINDS, type Part, type PartContext, type Raft, type Room } from "@wide-porch/core";
import { entered } from "./entered";
import { demoRooms } from "./rooms";

const MM = 1_000_000;

/** Invented: the studio stands on a raft with a rib within and a toe along its stone front; the store on a plain slab. */
export function quillmoorGround(newId: () => string, context: PartContext): Part[] {
  const begun = PART_KINDS.raft.defaults(newId(), "Studio raft", context);
  const raft: Raft = {
    ...begun,
    edgeForm: "toe",
    edges: begun.edges.map((edge) => ({ ...edge, toe: edge.id === "a" })),
    ribs: [
      {
        id: "rib",
        runs: "across",
        at: { valueNm: null, typed: "", assumed: false },
        width: assumedDimension(300 * MM),
        depth: assumedDimension(600 * MM),
      },
    ],
    choices: { mainBar: "16", mainBottom: 3, workingSpace: 300 * MM },
  };
  const figures = {
    "edges.a.length": "7.2 m",
    "edges.b.length": "4.8 m",
    thickness: "200 mm",
    beamWidth: "450 mm",
    beamDepth: "600 mm",
    toeWidth: "200 mm",
    toeDepth: "200 mm",
    "ribs.rib.width": "300 mm",
    "ribs.rib.depth": "600 mm",
  };
  const slab = PART_KINDS.slab.defaults(newId(), "Store slab", context);
  const slabFigures = { "edges.a.length": "4.95 m", "edges.b.length": "3.6 m", thickness: "150 mm" };
  return [
    { ...entered(raft, figures, context), location: "Studio" },
    { ...entered(slab, slabFigures, context), location: "Yard" },
  ];
}

/** Invented: tubes under the posts of the porch, a footing and a stem wall round the boot room. */
export function lanternGround(newId: () => string, context: PartContext): Part[] {
  const tubes = { ...PART_KINDS.pad.defaults(newId(), "Porch tubes", context), form: "tube" as const };
  const footing = PART_KINDS.footing.defaults(newId(), "Boot room footing", context);
  const lines = {
    ...footing,
    // Three sides of the boot room; the fourth is the old house.
    closed: false,
    edges: footing.edges.slice(0, 3),
  };
  const figures = { "edges.a.length": "15'11", "edges.b.length": "11'5", "edges.c.length": "15'11" };
  return [
    {
      ...entered(tubes, { diameter: '12"', height: '42"', top: '6"', count: "8" }, context),
      location: "Wrap-around porch",
      choices: { concreteBy: "bags" },
    },
    { ...entered(lines, figures, context), location: "Boot room" },
  ];
}

/** Invented: a cellar that becomes a laundry. Its walls are lined, its floor drained and kept warm. */
export function bramblegate(newId: () => string, context: PartContext): Part[] {
  const rooms: Room[] = demoRooms(
    [
      {
        key: "laundry",
        name: "Cellar laundry",
        storey: "Cellar",
        walk: [["5.1 m"], ["3.4 m"]],
        height: "2.2 m",
        thickness: "350 mm",
        openings: [
          { in: "a", kind: "door", position: "0.4 m", width: "0.85 m", height: "2 m" },
          { in: "c", kind: "window", position: "2 m", width: "0.7 m", height: "0.45 m", sill: "1.6 m" },
        ],
      },
    ],
    newId,
    context,
  );
  const [laundry] = rooms;
  if (!laundry) throw new Error("bramblegate: the laundry was not made");
  const dry = PART_KINDS.waterproofing.defaults(newId(), "Keeping the laundry dry", context);
  return [
    laundry,
    {
      ...dry,
      storey: "Cellar",
      location: laundry.name,
      roomId: laundry.id,
      outlets: 1,
      inspections: 2,
      sumps: 1,
      pumps: 1,
      alarms: 1,
      choices: { wallsBy: "membrane", floorBy: "membrane", floorInsulation: 50 * MM, channel: true },
    },
  ];
}

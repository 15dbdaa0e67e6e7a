import { countPart } from "../count";
import {
  type FlatRoof,
  type Floor,
  flatRoofKind,
  floorKind,
  isFlatRoof,
  measured,
  type Part,
  rectangleDefaults,
  renameParts,
  studWallKind,
  withSide,
} from "../kinds";
import { contexts, library } from "../testing/library";
import { entered } from "../testing/rooms";
import { toMetres } from "../units";
import { resolveParts } from "./resolve";
import { planJob } from "./storeyPlan";

const { metric } = contexts;
const room = (id: string, a: string, b: string, storey = "Ground") => ({
  ...entered(rectangleDefaults(id, id, metric), { "runs.a.length": a, "runs.b.length": b }),
  storey,
});
const kitchen = room("kitchen", "5 m", "4 m");
const hall = {
  ...room("hall", "3 m", "4 m"),
  place: { how: "joined" as const, toRoomId: "kitchen", toRunId: "b", runId: "d", offset: measured(0, "") },
};
/** The wall between them, carrying. */
const between: Part = {
  ...studWallKind.defaults("w", "Between", metric),
  plan: { roomId: "kitchen", hostId: "b", stretch: { how: "whole" as const } },
  choices: { bearing: true },
};

const floorOver = (roomIds: string[], more: Partial<Floor> = {}): Floor => ({
  ...floorKind.defaults("f", "Floor", metric),
  follows: { how: "rooms", roomIds },
  ...more,
});
function resolved(parts: readonly Part[]): Floor {
  const found = resolveParts(parts, planJob(parts)).find(({ id }) => id === "f");
  if (found?.kind !== "floor") throw new Error("there is no floor");
  return found;
}
const sides = ({ edges }: Pick<Floor, "edges">) =>
  edges.map(({ length }) => toMetres(length.valueNm ?? 0)).toSorted((a, b) => a - b);

describe("a floor over rooms", () => {
  it("lies to the outside of the walls round them, and goes along when a room changes", () => {
    const first = resolved([kitchen, floorOver(["kitchen"])]);
    const wall = (sides(first)[0] ?? 0) - 4;
    expect(wall).toBeCloseTo(2 * toMetres(kitchen.runs[0]?.thickness.valueNm ?? 0), 6);
    expect(sides(first)[3]).toBeCloseTo(5 + wall, 6);
    const longer = resolved([room("kitchen", "5.5 m", "4 m"), floorOver(["kitchen"])]);
    expect(sides(longer)[3]).toBeCloseTo(5.5 + wall, 6);
  });

  it("keeps what was said of an edge with the edge, and its first edge first", () => {
    const first = resolved([kitchen, floorOver(["kitchen"])]);
    const { found: _, ...kept } = first;
    const said = {
      ...kept,
      edges: kept.edges.map((edge, index) => (index === 0 ? { ...edge, bears: "ledger" as const } : edge)),
    };
    const grown = resolved([kitchen, hall, { ...said, follows: { how: "rooms", roomIds: ["kitchen", "hall"] } }]);
    expect(grown.edges.filter(({ bears }) => bears === "ledger").map(({ id }) => id)).toEqual([said.edges[0]?.id]);
    expect(grown.edges[0]?.id).toBe(said.edges[0]?.id);
  });

  it("is doubled under a wall that stands on it and runs with its joists, and not under one across them", () => {
    const lies = (runs: Floor["runs"]) => {
      const part = resolved([kitchen, hall, floorOver(["kitchen", "hall"], { runs })]);
      return [
        part.found?.doubled.length,
        countPart(part, "metric", library).pieces.filter(({ role }) => role === "doubled-joist").length,
      ];
    };
    expect([lies("along"), lies("across")].toSorted()).toEqual(
      [
        [0, 0],
        [1, 2],
      ].toSorted(),
    );
  });

  it("over the rooms it rests on the walls within that carry; those of its edges are its edges", () => {
    const over = (runs: Floor["runs"]) =>
      resolved([kitchen, hall, between, floorOver(["kitchen", "hall"], { runs, top: measured(2_600_000_000, "") })])
        .found?.supports.length;
    expect([over("along"), over("across")].toSorted()).toEqual([0, 1]);
  });

  it("says when a room is gone, and lies as it lay; when rooms hang together nowhere, it lies over the first", () => {
    const { found: _, ...laid } = resolved([kitchen, floorOver(["kitchen"])]);
    const gone = resolved([room("other", "2 m", "2 m"), laid]);
    expect(gone.edges).toEqual(laid.edges);
    expect(countPart(gone, "metric", library).problems.map(({ code }) => code)).toContain("rooms-gone");
    const apart = {
      ...room("shed", "2 m", "2 m"),
      place: { how: "free" as const, xNm: 20_000_000_000, yNm: 0, turnDegrees: 0 },
    };
    const two = resolved([kitchen, apart, floorOver(["kitchen", "shed"])]);
    expect(countPart(two, "metric", library).problems.map(({ code }) => code)).toContain("rooms-apart");
    expect(sides(two)).toEqual(sides(resolved([kitchen, floorOver(["kitchen"])])));
  });

  it("a flat roof hangs over the walls it lies on by what was said of each side, and goes on doing so", () => {
    const roof = {
      ...flatRoofKind.defaults("f", "Roof", metric),
      follows: { how: "rooms" as const, roomIds: ["kitchen"] },
    };
    const lay = (parts: readonly Part[]) => resolveParts(parts, planJob(parts)).find(isFlatRoof);
    const first = lay([kitchen, roof]);
    if (!first) throw new Error("there is no roof");
    const { found: _, ...kept } = first;
    const walls = sides(first);
    // Two sides beside each other are opened, and hang over by 400 mm.
    const open = kept.edges.slice(0, 2).reduce<FlatRoof>((now, { id }) => withSide(now, id, true, "metric"), kept);
    const over = {
      ...open,
      edges: open.edges.map((edge) => (edge.overhang ? { ...edge, overhang: measured(400_000_000, "") } : edge)),
    };
    const hung = lay([kitchen, over]);
    if (!hung) throw new Error("there is no roof");
    expect(sides(hung)).toEqual(walls.map((each) => expect.closeTo(each + 0.4, 6)));
    expect(hung.edges.map(({ overhang }) => overhang?.valueNm)).toEqual([
      400_000_000,
      400_000_000,
      undefined,
      undefined,
    ]);
    // What was stored as it lay is found again by its walls, whatever hangs over them.
    const { found: __, ...again } = hung;
    expect(lay([kitchen, again])?.edges).toEqual(hung.edges);
    expect(lay([kitchen, again])?.place).toEqual(hung.place);
  });

  it("stays where it is while nothing of the plan closes, and names its rooms anew in a copy", () => {
    const floor = floorOver(["kitchen"]);
    expect(resolved([rectangleDefaults("kitchen", "Kitchen", metric), floor]).edges).toBe(floor.edges);
    let made = 0;
    const copied = renameParts([kitchen, floor], () => `new-${++made}`);
    const moved = copied.find(({ kind }) => kind === "floor");
    const other = copied.find(({ kind }) => kind === "room");
    expect(moved).toMatchObject({ follows: { how: "rooms", roomIds: [other?.id] } });
  });
});

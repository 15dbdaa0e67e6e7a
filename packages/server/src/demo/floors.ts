import {
  assumedDimension,
  type FlatRoof,
  type Floor,
  inches,
  isRoom,
  PART_KINDS,
  type Part,
  type PartContext,
  planJob,
  resolveJoisted,
} from "@wide-porch/core";
import { entered } from "./entered";

/** Over rooms of a house, as its plan has them. Throws for a room there is not. */
function overRooms(floor: Floor, names: readonly string[], parts: readonly Part[]): Floor {
  const roomIds = names.map((name) => {
    const room = parts.filter(isRoom).find((each) => each.name === name);
    if (!room) throw new Error(`demo: there is no room "${name}"`);
    return room.id;
  });
  const { found: _, ...laid } = resolveJoisted({ ...floor, follows: { how: "rooms", roomIds } }, planJob(parts));
  return laid;
}

/** Invented: the studio's roof against the stone house on one side, with two sides that hang over and one at the store. */
export function quillmoorRoof(newId: () => string, context: PartContext): Part[] {
  const begun = PART_KINDS["flat-roof"].defaults(newId(), "Studio roof", context);
  const roof: FlatRoof = {
    ...begun,
    location: "Studio",
    edges: begun.edges.map((edge) => {
      if (edge.id !== "d") return edge;
      const { overhang: _, ...wall } = edge;
      return { ...wall, bears: null };
    }),
    choices: { edgesBear: "hangers", joistSection: "38x235" },
  };
  return [entered(roof, { top: "2.6 m", "edges.a.length": "7.5 m", "edges.b.length": "4.9 m" }, context)];
}

/** Invented: the boot room's floor with the stair down to the cellar in it, and joists over its new ceiling. */
export function lanternFloors(parts: readonly Part[], newId: () => string, context: PartContext): Part[] {
  const begun = PART_KINDS.floor.defaults(newId(), "Boot room floor", context);
  const none = { valueNm: null, typed: "", assumed: false };
  const floor: Floor = {
    ...overRooms({ ...begun, runs: "across" }, ["Boot room"], parts),
    location: "Boot room",
    openings: [
      {
        id: "cellar-stair",
        kind: "stair",
        along: none,
        off: none,
        length: none,
        width: none,
        measuredAs: "clear",
        headers: "by-rule",
        runThrough: false,
      },
    ],
    choices: { joistSection: "2x8" },
  };
  const stair = {
    "openings.cellar-stair.along": "5'4",
    "openings.cellar-stair.off": "3'2",
    "openings.cellar-stair.length": "8'6",
    "openings.cellar-stair.width": "3'2",
  };
  const over = PART_KINDS.floor.defaults(newId(), "Boot room ceiling joists", context);
  const ceiling: Floor = {
    ...overRooms(over, ["Boot room"], parts),
    location: "Boot room",
    top: assumedDimension(inches(97.125 + 5.5)),
    choices: { joistSection: "2x6", decked: false, blocking: "none" },
  };
  return [entered(floor, stair, context), ceiling];
}

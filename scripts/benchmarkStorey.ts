import {
  footprintEdges,
  PART_KINDS,
  type Part,
  partContext,
  planJob,
  planPoints,
  type Room,
  rectangleDefaults,
  resolveParts,
  surfacesOf,
} from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";

/** How long the plan of a storey takes as its rooms grow in number, with a wall of each built. */
const context = partContext("metric", library);
const METRE = 1_000_000_000;

function roomAt(index: number, xNm: number, yNm: number, turnDegrees: number): Room {
  const room = rectangleDefaults(`r${index}`, `Room ${index}`, context);
  const figures = { "runs.a.length": 4, "runs.b.length": 3, "ceiling.height": 2.4 };
  const sized = Object.entries(figures).reduce<Room>(
    (now, [path, metres]) => PART_KINDS.room.withDimension(now, path, metres * METRE, "", context),
    room,
  );
  return { ...sized, place: { how: "free", xNm, yNm, turnDegrees } };
}

const wallOf = ({ id }: Room): Part => ({
  ...PART_KINDS["stud-wall"].defaults(`w-${id}`, "Wall", context),
  plan: { roomId: id, hostId: "a", stretch: { how: "whole" } },
});

const SPREADS: Readonly<Record<string, (index: number, side: number) => Room>> = {
  "back to back": (index, side) =>
    roomAt(index, (index % side) * 4.1 * METRE, Math.floor(index / side) * 3.1 * METRE, 0),
  "apart, each turned": (index, side) =>
    roomAt(index, (index % side) * 7 * METRE, Math.floor(index / side) * 7 * METRE, (index * 37) % 360),
  "all in one place": (index) => roomAt(index, 0, 0, 0),
};

/** All that is asked of a storey. */
function planned(parts: readonly Part[]): void {
  const plan = planJob(parts);
  for (const storey of plan.storeys) {
    void storey.footprint;
    void storey.overlaps;
    footprintEdges(storey);
    surfacesOf(storey);
  }
  resolveParts(parts, plan);
  planPoints(parts, plan, context);
}

for (const [name, of] of Object.entries(SPREADS)) {
  const taken = [400, 1000].map((count) => {
    const rooms = Array.from({ length: count }, (_, index) => of(index, Math.ceil(Math.sqrt(count))));
    const parts = [...rooms, ...rooms.map(wallOf)];
    const runs = Array.from({ length: 5 }, () => {
      const start = performance.now();
      planned(parts);
      return performance.now() - start;
    });
    return `${count} rooms ${(runs.toSorted((a, b) => a - b)[2] ?? 0).toFixed(0)} ms`;
  });
  console.log(`a storey planned, ${name}: ${taken.join(", ")} (aim: 1000 under 2000)`);
}

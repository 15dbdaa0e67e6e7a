import {
  assumedDimension,
  isRoom,
  type Job,
  JobSheets,
  measured,
  type Part,
  Planner,
  partContext,
  type Room,
  reckonJob,
  rectangleDefaults,
  type StudWall,
  startJob,
  studWallKind,
} from "@wide-porch/core/reckoning";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import fc from "fast-check";
import { CountCache } from "./countCache";
import { CutCache } from "./cutCache";
import { withUnchanged } from "./sent";

const context = partContext("imperial", library);
const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job: Job = startJob(start, starterCompanySettings);

const withRuns = (room: Room, aNm: number, bNm: number): Room => ({
  ...room,
  runs: room.runs.map((run, index) => ({ ...run, length: measured(index % 2 === 0 ? aNm : bNm, "") })),
});
const inches = (count: number): number => count * 25_400_000;
const hall = withRuns(rectangleDefaults("hall", "Hall", context), inches(144), inches(120));
const den: Room = {
  ...withRuns(rectangleDefaults("den", "Den", context), inches(96), inches(120)),
  place: { how: "joined", toRoomId: "hall", toRunId: "b", runId: "d", offset: measured(0, "") },
};
const wallOn = (id: string, roomId: string, hostId: string): StudWall => ({
  ...studWallKind.defaults(id, id, context),
  plan: { roomId, hostId, stretch: { how: "whole" } },
});

type Change =
  | { readonly what: "size"; readonly room: number; readonly a: number; readonly b: number }
  | { readonly what: "ceiling"; readonly room: number; readonly high: number }
  | { readonly what: "bearing"; readonly on: boolean }
  | { readonly what: "away"; readonly on: boolean };

const anyChange: fc.Arbitrary<Change> = fc.oneof(
  fc.record({
    what: fc.constant("size" as const),
    room: fc.integer({ min: 0, max: 1 }),
    a: fc.integer({ min: 80, max: 240 }),
    b: fc.integer({ min: 80, max: 240 }),
  }),
  fc.record({
    what: fc.constant("ceiling" as const),
    room: fc.integer({ min: 0, max: 1 }),
    high: fc.integer({ min: 97, max: 160 }),
  }),
  fc.record({ what: fc.constant("bearing" as const), on: fc.boolean() }),
  fc.record({ what: fc.constant("away" as const), on: fc.boolean() }),
);

/** What one person does next to the job: a room's size, its ceiling, a choice of a wall, a wall gone or back. */
function after(parts: readonly Part[], change: Change): Part[] {
  return parts.map((part, index) => {
    if (change.what === "size" && isRoom(part) && index === change.room) {
      return withRuns(part, inches(change.a), inches(change.b));
    }
    if (change.what === "ceiling" && isRoom(part) && index === change.room) {
      const shape = { value: "sloped" as const, assumed: false };
      return { ...part, ceiling: { ...part.ceiling, shape, highHeight: measured(inches(change.high), "") } };
    }
    if (part.kind !== "stud-wall") return part;
    if (change.what === "bearing") {
      return { ...part, choices: { ...part.choices, bearing: change.on } };
    }
    if (change.what === "away" && part.id === "loose") {
      return { ...part, length: change.on ? assumedDimension(inches(144)) : { ...part.length, valueNm: null } };
    }
    return part;
  });
}

describe("a job reckoned change by change", () => {
  it("comes to what it comes to when it is reckoned afresh: counts, order and price", () => {
    fc.assert(
      fc.property(fc.array(anyChange, { minLength: 1, maxLength: 8 }), (changes) => {
        const [counts, cuts, sheets, planner] = [new CountCache(), new CutCache(), new JobSheets(), new Planner()];
        let parts: readonly Part[] = [
          hall,
          den,
          wallOn("x", "hall", "a"),
          wallOn("y", "hall", "b"),
          {
            ...studWallKind.defaults("loose", "Loose", context),
            length: measured(inches(200), ""),
          },
        ];
        let shown: ReturnType<typeof withUnchanged> = [];
        for (const change of changes) {
          parts = after(parts, change);
          const remembered = reckonJob(job, parts, starterPriceList, library, {
            count: counts.count,
            cut: cuts.cut,
            sheets,
            planner,
          });
          cuts.settle();
          counts.settle();
          shown = withUnchanged(counts.fresh(remembered.counts), shown)
            .concat(shown)
            .filter(({ partId }, index, all) => all.findIndex((each) => each.partId === partId) === index);
          shown = withUnchanged(counts.all(remembered.counts), shown);
          // Copies, so that nothing is the same object as before.
          const fresh = reckonJob(job, JSON.parse(JSON.stringify(parts)), starterPriceList, library);
          expect(JSON.parse(JSON.stringify(shown))).toEqual(JSON.parse(JSON.stringify(fresh.counts)));
          expect(remembered.order).toEqual(fresh.order);
          expect(remembered.buildUp.total).toBe(fresh.buildUp.total);
        }
      }),
      { numRuns: 12 },
    );
  });
});

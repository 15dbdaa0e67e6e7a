import fc from "fast-check";
import { perimeterNm, polygonArea } from "../../geometry";
import { ALONE } from "../../parts/partKind";
import { contexts } from "../../testing/library";
import { type WalkStep, walkedRoom } from "../../testing/rooms";
import { inches, millimetres } from "../../units";
import { newRoomOpening } from "./defaults";
import { withDimension, withRefused } from "./dimensions";
import { finishWalk, withClosing } from "./edit";
import { explainGap } from "./explainGap";
import { roomKind } from "./index";
import { outlineOf, wallBacks } from "./outline";
import { type Room, roomSchema } from "./schema";
import { gapSizeNm, measuredCorners, walkOf } from "./walk";

const context = contexts.metric;

/** A room with a straight wall above and steps below: columns of different depth, in whole decimetres. */
const steppedRoom = fc
  .uniqueArray(fc.integer({ min: 20, max: 60 }), { minLength: 1, maxLength: 5 })
  .chain((depths) =>
    fc.tuple(
      fc.constant(depths),
      fc.array(fc.integer({ min: 11, max: 40 }), { minLength: depths.length, maxLength: depths.length }),
    ),
  )
  .map(([depths, widths]): { steps: WalkStep[]; area: number; around: number } => {
    const dm = (count: number) => `${count * 100}`;
    const whole = widths.reduce((sum, width) => sum + width, 0);
    const steps: WalkStep[] = [[dm(whole), -90]];
    // Down the right side, then back to the left column by column, then up.
    let depth = depths[depths.length - 1] ?? 0;
    steps.push([dm(depth), -90]);
    for (let column = depths.length - 1; column >= 0; column -= 1) {
      const next = depths[column - 1];
      const width = dm(widths[column] ?? 0);
      if (next === undefined) {
        steps.push([width, -90], [dm(depth), -90]);
        continue;
      }
      // Shallower to the left: the wall turns up, a right turn; deeper: down, a left turn.
      steps.push([width, next < depth ? -90 : 90], [dm(Math.abs(next - depth)), next < depth ? 90 : -90]);
      depth = next;
    }
    const area = depths.reduce((sum, each, column) => sum + each * (widths[column] ?? 0), 0) / 100;
    const around = steps.reduce((sum, [typed]) => sum + Number(typed), 0);
    return { steps, area, around };
  });

const finished = (steps: readonly WalkStep[]): Room => {
  const room = walkedRoom(steps, context);
  const done = room.finished ? room : finishWalk(room);
  if (!done) throw new Error("too few walls");
  return done;
};

describe("any stepped room", () => {
  it("closes as it is walked, with the area and perimeter of its columns", () => {
    fc.assert(
      fc.property(steppedRoom, ({ steps, area, around }) => {
        const room = walkedRoom(steps, context);
        const { polygon, state } = outlineOf(room);
        expect(state).toBe("closed");
        expect(polygonArea(polygon ?? [])).toBeCloseTo(area, 9);
        expect(perimeterNm(polygon ?? [])).toBe(millimetres(around));
      }),
    );
  });

  it("has walls whose backs lie a thickness outside all round", () => {
    fc.assert(
      fc.property(steppedRoom, ({ steps, around, area }) => {
        const room = walkedRoom(steps, context);
        const outline = outlineOf(room);
        const outside = wallBacks(outline).map((edge) => edge.from);
        const thicknessM = (room.runs[0]?.thickness.valueNm ?? 0) / 1e9;
        // A square-cornered ring moved out by t grows by perimeter x t and four corners of t x t.
        const grown = area + (around / 1000) * thicknessM + 4 * thicknessM ** 2;
        expect(polygonArea(outside)).toBeCloseTo(grown, 6);
      }),
    );
  });

  it("with one wall misread has that wall and slip among what could explain it", () => {
    const slip = fc.constantFrom(1000, -1000, 100, -100);
    fc.assert(
      fc.property(steppedRoom, fc.nat(), slip, ({ steps }, pick, byMm) => {
        const index = pick % steps.length;
        const misread = Number(steps[index]?.[0] ?? 0) + byMm;
        fc.pre(misread > 0);
        const room = finished(
          steps.map((step, at): WalkStep => (at === index ? [`${misread}`, step[1] ?? -90] : step)),
        );
        const runId = room.runs[index]?.id;
        const found = explainGap(room, "metric");
        const right = found.find(
          (each) => each.runId === runId && each.runs[index]?.length.valueNm === millimetres(misread - byMm),
        );
        expect(right).toBeDefined();
        for (const each of found) {
          expect(gapSizeNm(measuredCorners(each.runs)[each.runs.length] ?? { xNm: 1e12, yNm: 0 })).toBeLessThanOrEqual(
            millimetres(25),
          );
        }
      }),
    );
  });

  it("with one turn the wrong way has that turn among them", () => {
    fc.assert(
      fc.property(steppedRoom, fc.nat(), ({ steps }, pick) => {
        // The last turn is not asked for, and one that closes all the same is no gap.
        const index = pick % (steps.length - 1);
        const wrong = steps.map(([typed, turn = -90], at): WalkStep => [typed, at === index ? -turn : turn]);
        const room = finished(wrong);
        fc.pre(!["closed", "small"].includes(walkOf(room).state));
        const found = explainGap(room, "metric");
        expect(found.some((each) => each.slip === "wrong-turn" && each.runId === room.runs[index]?.id)).toBe(true);
      }),
    );
  });

  it("with a small gap closes exactly once the gap is spread, and keeps every figure as typed", () => {
    fc.assert(
      fc.property(steppedRoom, fc.nat(), fc.integer({ min: 1, max: 24 }), ({ steps }, pick, byMm) => {
        const index = pick % steps.length;
        const room = finished(
          steps.map((step, at): WalkStep => (at === index ? [`${Number(step[0]) + byMm}`, step[1] ?? -90] : step)),
        );
        expect(walkOf(room).state).toBe("small");
        const { state, corners } = walkOf(withClosing(room, "spread"));
        expect(state).toBe("spread");
        expect(corners.at(-1)).toEqual(corners[0]);
        expect(withClosing(room, "spread").runs).toEqual(room.runs);
      }),
    );
  });

  it("survives being kept and read, and any figure set and set back", () => {
    fc.assert(
      fc.property(steppedRoom, fc.nat(), ({ steps }, pick) => {
        const room = walkedRoom(steps, context);
        expect(roomSchema.parse(JSON.parse(JSON.stringify(room)))).toEqual(room);
        const slots = roomKind.dimensions(room, context);
        const slot = slots[pick % slots.length];
        if (!slot || slot.dimension.valueNm === null) return;
        const moved = withDimension(room, slot.path, slot.dimension.valueNm + inches(1), "x");
        const back = withDimension(moved, slot.path, slot.dimension.valueNm, slot.dimension.typed);
        const now = roomKind.dimensions(back, context).find((each) => each.path === slot.path);
        expect(now?.dimension.valueNm).toBe(slot.dimension.valueNm);
        expect(withRefused(withRefused(room, slot.path, "oops"), slot.path, undefined)).toEqual(room);
      }),
    );
  });

  it("is finished on as much wall as it has less what is cut out of it", () => {
    fc.assert(
      fc.property(steppedRoom, fc.constantFrom("door", "window", "plain", "arch"), ({ steps, around }, kind) => {
        const room = walkedRoom(steps, context);
        const opening = newRoomOpening(room, "a", kind, "o", context);
        const opened = opening ? { ...room, openings: [opening] } : room;
        expect(roomKind.problems(opened, context)).toEqual([]);
        const measures = roomKind.measures(opened, context, ALONE);
        const value = (id: string) => Number.parseFloat(measures.find((each) => each.id === id)?.text ?? "");
        expect(value("wall-area")).toBeCloseTo((around / 1000) * 2.4, 1);
        expect(value("net-wall-area")).toBeLessThanOrEqual(value("wall-area"));
        const byWall = measures.filter((each) => each.id.startsWith("net-wall-area/"));
        const sum = byWall.reduce((total, each) => total + Number.parseFloat(each.text), 0);
        expect(sum).toBeCloseTo(value("net-wall-area"), 1);
      }),
    );
  });
});

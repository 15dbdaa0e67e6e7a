import { contexts } from "../../testing/library";
import { entered, type WalkStep, walkedRoom } from "../../testing/rooms";
import { feet, inches } from "../../units";
import { newFeature, newRoomOpening, rectangleDefaults } from "./defaults";
import {
  finishWalk,
  followRectangle,
  reopenWalk,
  walkOn,
  withClosing,
  withoutFeature,
  withoutRun,
  withTurn,
} from "./edit";
import type { Room } from "./schema";
import { walkOf } from "./walk";

const context = contexts.imperial;
const SQUARE: readonly WalkStep[] = [["12'"], ["10'"], ["12'"], ["10'"]];
const turns = (room: Room) => room.runs.map((run) => run.turnDegrees.value);
const lengths = (room: Room) => room.runs.map((run) => (run.length.valueNm ?? 0) / feet(1));

describe("going on with a walk", () => {
  it("ends where it comes back to its start, to a hundredth of what it may be out, and not before", () => {
    expect(walkedRoom(SQUARE)).toMatchObject({ finished: true, closing: null });
    expect(walkedRoom(SQUARE.slice(0, 3)).finished).toBe(false);
    // An inch may be left open: a hundredth of it is no gap, more is one that is looked at.
    const within = (typed: string) => walkedRoom([["12'"], ["10'"], ["12'"], [typed]]).finished;
    expect([within("9' 11 63/64"), within("10' 1/64"), within("10'")]).toEqual([false, false, true]);
    expect(walkOn(walkedRoom(SQUARE), "more", context).runs).toHaveLength(4);
  });

  it("waits with its next wall turning the way it has gone round so far", () => {
    expect(turns(walkedRoom([["12'"]]))).toEqual([-90, -90]);
    expect(turns(walkedRoom([["12'", 90]]))).toEqual([90, 90]);
    expect(turns(walkedRoom([["12'"], ["5'", 90]]))).toEqual([-90, 90, -90]);
    const left = withTurn(walkedRoom([["12'"]]), "a", 90);
    expect(turns(left)).toEqual([90, 90]);
    expect(left.runs[0]?.turnDegrees.assumed).toBe(false);
  });

  it("waits for one figure at a time", () => {
    const waiting = walkedRoom([["12'"]]);
    expect(walkOn(waiting, "more", context)).toBe(waiting);
  });

  it("can be said to be done with three walls, and taken up again", () => {
    expect(finishWalk(walkedRoom([["12'"], ["10'"]]))).toBeUndefined();
    const done = finishWalk(walkedRoom([["12'"], ["10'"], ["9'"]]));
    expect(done?.finished).toBe(true);
    expect(done?.runs.map((run) => run.length.valueNm)).toEqual([feet(12), feet(10), feet(9)]);
    const again = done && reopenWalk(withClosing(done, "spread"), "next", context);
    expect(again).toMatchObject({ finished: false, closing: null });
    expect(again?.runs.map((run) => run.id)).toEqual(["a", "r2", "r3", "next"]);
  });

  it("closes in three walls: 3, 4 and 5 ft (Pythagoras)", () => {
    const turn = -180 + (Math.atan2(3, 4) * 180) / Math.PI;
    const triangle = finishWalk(walkedRoom([["3'"], ["4'", turn], ["5'"]]));
    if (!triangle) throw new Error("three walls");
    const { state, gap } = walkOf(triangle);
    expect(state).not.toBe("open");
    // Two inches out, three walls are a walk with a gap as well.
    const out = finishWalk(walkedRoom([["3'"], ["4'", turn], ["5' 2"]]));
    expect(out && walkOf(out).state).toBe("large");
    expect(Math.hypot(gap?.xNm ?? 0, gap?.yNm ?? 0)).toBeLessThan(1000);
  });

  it("agrees to a gap by its figures", () => {
    const open = finishWalk(walkedRoom([["12'"], ["10'"], ["11' 11"], ["10'"]]));
    if (!open) throw new Error("four walls");
    const { closing } = withClosing(open, "spread");
    expect(closing?.how).toBe("spread");
    expect([Math.round(closing?.gapXNm ?? 0), Math.round(closing?.gapYNm ?? 0)]).toEqual([inches(1), 0]);
  });
});

describe("what is taken out", () => {
  const den = entered(rectangleDefaults("den", "Den", context), { "runs.a.length": "12'", "runs.b.length": "10'" });
  const recess = newFeature(den, "a", "recess", "f", context);
  if (!recess) throw new Error("no room for a recess");
  const fitted = entered({ ...den, features: [recess] }, { "features.f.width": "4'", "features.f.depth": "2'" });
  const openings = [
    newRoomOpening(fitted, "f", "window", "back", context),
    newRoomOpening(fitted, "b", "door", "door", context),
  ].filter((each) => each !== undefined);
  const room: Room = { ...fitted, openings };
  const left = (each: Room) => [
    each.runs.map(({ id }) => id).join(""),
    each.features.map(({ id }) => id).join(""),
    each.openings.map(({ id }) => id).join(" "),
  ];

  it("takes what is in it along, and nothing else", () => {
    expect(left(room)).toEqual(["abcd", "f", "back door"]);
    expect(left(withoutFeature(room, "f"))).toEqual(["abcd", "", "door"]);
    expect(left(withoutRun(room, "a"))).toEqual(["bcd", "", "door"]);
    expect(left(withoutRun(room, "b"))).toEqual(["acd", "f", "back"]);
  });
});

describe("a rectangle of which two walls are measured", () => {
  const den = entered(rectangleDefaults("den", "Den", context), { "runs.a.length": "12'", "runs.b.length": "10'" });

  it("has the others follow, assumed, until they are measured", () => {
    expect(lengths(followRectangle(den))).toEqual([12, 10, 12, 10]);
    expect(followRectangle(den).runs.map((run) => run.length.assumed)).toEqual([false, false, true, true]);
    const measuredC = entered(den, { "runs.c.length": "11'" });
    expect(lengths(followRectangle(measuredC))).toEqual([12, 10, 11, 10]);
  });

  it("is no rectangle with a turn the other way, a slant, five walls, or while it is walked", () => {
    const longer = {
      ...den,
      runs: den.runs.map((run, index) =>
        index === 0 ? { ...run, length: { ...run.length, valueNm: feet(20) } } : run,
      ),
    };
    expect(lengths(followRectangle(longer))[2]).toBe(20);
    const turned = (degrees: number): Room => ({
      ...longer,
      runs: longer.runs.map((run) =>
        run.id === "b" ? { ...run, turnDegrees: { value: degrees, assumed: false } } : run,
      ),
    });
    const slanting = {
      ...longer,
      runs: longer.runs.map((run) => ({ ...run, turnDegrees: { value: -80, assumed: false } })),
    };
    const [first] = longer.runs;
    const five: Room = { ...longer, runs: first ? [...longer.runs, { ...first, id: "e" }] : [] };
    for (const room of [turned(90), slanting, five, { ...longer, finished: false }])
      expect(lengths(followRectangle(room))[2]).toBe(12);
  });
});

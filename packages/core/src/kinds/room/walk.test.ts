import { directionOf } from "../../geometry";
import { contexts } from "../../testing/library";
import { entered, walkedRoom } from "../../testing/rooms";
import { feet, inches } from "../../units";
import { finishWalk, reopenWalk, withClosing, withoutRun, withTurn } from "./edit";
import { outlineOf } from "./outline";
import type { Room } from "./schema";
import { spread, walkOf } from "./walk";

const finished = (room: Room): Room => {
  const done = finishWalk(room);
  if (!done) throw new Error("the walk has too few walls");
  return done;
};

describe("walking a room", () => {
  it("goes on to the next wall by itself, and is done when it is back at its start", () => {
    const begun = walkedRoom([["13'8"], ["11'3"]]);
    expect(begun.runs.map((run) => run.length.valueNm)).toEqual([inches(164), inches(135), null]);
    expect(walkOf(begun).state).toBe("open");
    const done = walkedRoom([["13'8"], ["11'3"], ["13'8"], ["11'3"]]);
    expect(done.runs).toHaveLength(4);
    expect(done.finished).toBe(true);
    expect(walkOf(done).state).toBe("closed");
  });

  it("shows the gap in both directions while it is walked", () => {
    // 13'8" along, 11'3" down, then 10' back: 3'8" along and 11'3" up to go.
    const { gap } = walkOf(walkedRoom([["13'8"], ["11'3"], ["10'"]]));
    expect(gap).toEqual({ xNm: inches(44), yNm: -inches(135) });
  });

  it("closes rooms walked the other way round, and with turns that are not square", () => {
    const left = walkedRoom(
      [
        ["4m", 90],
        ["3m", 90],
        ["4m", 90],
        ["3m", 90],
      ],
      contexts.metric,
    );
    expect(outlineOf(left)).toMatchObject({ state: "closed", clockwise: false });
    // An equilateral triangle turns three times by 120 degrees; slanting corners are rounded to whole nanometres.
    const triangle = walkedRoom(
      [
        ["3m", -120],
        ["3m", -120],
        ["3m", -120],
      ],
      contexts.metric,
    );
    expect(walkOf(triangle).state).toBe("closed");
  });

  it("is open with a figure missing in the middle, and needs three walls to be done", () => {
    const room = walkedRoom([["13'8"], ["11'3"], ["13'8"], ["11'3"]]);
    const hole = {
      ...room,
      runs: room.runs.map((run, index) => (index === 1 ? { ...run, length: { ...run.length, valueNm: null } } : run)),
    };
    expect(walkOf(hole)).toMatchObject({ state: "open", gap: undefined });
    expect(finishWalk(walkedRoom([["13'8"], ["11'3"]]))).toBeUndefined();
  });

  it("lets runs that wait follow a changed turn, and takes a walk up again", () => {
    const begun = withTurn(walkedRoom([["13'8"]]), "a", 90);
    expect(begun.runs.map((run) => run.turnDegrees)).toEqual([
      { value: 90, assumed: false },
      { value: 90, assumed: true },
    ]);
    const again = reopenWalk(walkedRoom([["4'"], ["4'"], ["4'"], ["4'"]]), "next", contexts.imperial);
    expect(again.finished).toBe(false);
    expect(again.runs).toHaveLength(5);
  });
});

describe("closing a walk", () => {
  // 20' by 10', the last wall half an inch short.
  const short = finished(walkedRoom([["20'"], ["10'"], ["20'"], ["9'11 1/2"]]));

  it("asks about a small gap and calls a large one a mistake", () => {
    expect(walkOf(short)).toMatchObject({ state: "small", gap: { xNm: 0, yNm: -inches(0.5) } });
    const far = finished(walkedRoom([["20'"], ["10'"], ["20'"], ["9'"]]));
    expect(walkOf(far).state).toBe("large");
  });

  it("spreads a gap by the compass rule, worked by hand", () => {
    // Bowditch's rule: each leg takes its share of the gap by its length. Legs 20, 10, 20 and 9.9583 ft, 59.9583 ft in
    // all; the gap is 1/2 in, so the legs take 0.16678, 0.08339, 0.16678 and 0.08304 in (arithmetic).
    const { state, corners } = walkOf(withClosing(short, "spread"));
    expect(state).toBe("spread");
    const shares = [0, 240, 360, 600, 719.5].map((walked) => (0.5 * walked) / 719.5);
    const measured = [
      [0, 0],
      [240, 0],
      [240, -120],
      [0, -120],
      [0, -0.5],
    ];
    for (const [index, [x = 0, y = 0]] of measured.entries()) {
      expect(corners[index]?.xNm).toBeCloseTo(inches(x), -1);
      expect((corners[index]?.yNm ?? 0) / inches(1)).toBeCloseTo(y + (shares[index] ?? 0), 6);
    }
    expect(corners[4]).toEqual({ xNm: 0, yNm: 0 });
  });

  it("agrees with a traverse worked in latitudes and departures", () => {
    // A made-up five-legged traverse in feet; adjusted by hand as surveying texts lay it out: the misclosure in each
    // direction times length over total length, taken off at each corner (Bowditch; from memory).
    const legs = [
      { length: 100, bearing: 0 },
      { length: 80, bearing: -72 },
      { length: 95, bearing: -150 },
      { length: 60, bearing: -200 },
      { length: 88, bearing: -290 },
    ];
    let x = 0;
    let y = 0;
    const corners = [{ xNm: 0, yNm: 0 }];
    for (const { length, bearing } of legs) {
      const way = directionOf(bearing);
      x += length * way.x;
      y += length * way.y;
      corners.push({ xNm: Math.round(feet(1) * x), yNm: Math.round(feet(1) * y) });
    }
    const total = legs.reduce((sum, leg) => sum + leg.length, 0);
    let walked = 0;
    const adjusted = spread(corners);
    for (const [index, leg] of legs.entries()) {
      walked += leg.length;
      const corner = corners[index + 1] ?? { xNm: 0, yNm: 0 };
      expect((adjusted[index + 1]?.xNm ?? 0) / feet(1)).toBeCloseTo(corner.xNm / feet(1) - (x * walked) / total, 6);
      expect((adjusted[index + 1]?.yNm ?? 0) / feet(1)).toBeCloseTo(corner.yNm / feet(1) - (y * walked) / total, 6);
    }
  });

  it("squares up the last two walls and leaves the others", () => {
    const { state, corners } = walkOf(withClosing(short, "squared"));
    expect(state).toBe("squared");
    expect(corners.slice(0, 3)).toEqual(walkOf(short).corners.slice(0, 3));
    expect(corners[3]).toEqual({ xNm: 0, yNm: -feet(10) });
    expect(corners[4]).toEqual({ xNm: 0, yNm: 0 });
  });

  it("asks again when the gap is another", () => {
    const agreed = withClosing(short, "spread");
    expect(walkOf(entered(agreed, { "runs.r4.length": "9'11 3/4" })).state).toBe("small");
    expect(walkOf(entered(agreed, { "runs.r4.length": "10'" })).state).toBe("closed");
  });

  it("takes out a wall with all that is in it", () => {
    expect(withoutRun(short, "r2").runs.map((run) => run.id)).toEqual(["a", "r3", "r4"]);
  });
});

import { turningWith } from "./turning";

/** A clock whose frames come when they are called for. */
function handClock() {
  let waiting: ((nowMs: number) => void) | undefined;
  const clock = {
    frame: (draw: (nowMs: number) => void) => {
      waiting = draw;
      return 1;
    },
    cancel: () => {
      waiting = undefined;
    },
  };
  const tick = (nowMs: number) => {
    const draw = waiting;
    waiting = undefined;
    draw?.(nowMs);
  };
  return { clock, tick };
}

describe("drawing what turns", () => {
  it("is once a frame, however often it moved", () => {
    const { clock, tick } = handClock();
    const draw = jest.fn();
    const turning = turningWith(draw, jest.fn(), clock);
    turning.moved();
    turning.moved();
    tick(0);
    tick(16);
    expect(draw).toHaveBeenCalledTimes(1);
  });

  it("is coarse from the second slow frame in a row until it is still", () => {
    const { clock, tick } = handClock();
    const coarsely = jest.fn();
    const turning = turningWith(jest.fn(), coarsely, clock);
    for (const nowMs of [0, 100, 116, 216, 316, 416]) {
      turning.moved();
      tick(nowMs);
    }
    expect(coarsely.mock.calls).toEqual([[true]]);
    turning.still();
    expect(coarsely.mock.calls).toEqual([[true], [false]]);
  });

  it("draws once more when it is still, and nothing after", () => {
    const { clock, tick } = handClock();
    const draw = jest.fn();
    const turning = turningWith(draw, jest.fn(), clock);
    turning.moved();
    turning.still();
    tick(16);
    expect(draw).toHaveBeenCalledTimes(1);
  });
});

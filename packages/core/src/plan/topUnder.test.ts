import { countPart } from "../count";
import { measured, type Room, rectangleDefaults, type StudWall, studWallKind } from "../kinds";
import { contexts, library } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches } from "../units";
import { resolveWall } from "./resolve";
import { planJob } from "./storeyPlan";

const context = contexts.imperial;

/** Walked with the clock from its upper left corner: wall a above, b at the right, c below, d at the left. */
const room = (a: string, b: string, ceiling: Partial<Room["ceiling"]>): Room => {
  const level = entered(rectangleDefaults("loft", "Loft", context), {
    "runs.a.length": a,
    "runs.b.length": b,
    "ceiling.height": "8'",
  });
  return { ...level, ceiling: { ...level.ceiling, ...ceiling } };
};
const sloped = (highNm: number) => ({
  shape: { value: "sloped" as const, assumed: false },
  highHeight: measured(highNm, ""),
  fromRunId: "a",
});
const vaulted = (highNm: number) => ({ ...sloped(highNm), shape: { value: "vaulted" as const, assumed: false } });

const wallOn = (hostId: string): StudWall => ({
  ...studWallKind.defaults("w", "W", context),
  plan: { roomId: "loft", hostId, stretch: { how: "whole" } },
});
const topOf = (loft: Room, hostId: string) => {
  const { height, shape, plan } = resolveWall(wallOn(hostId), planJob([loft]));
  return { heightNm: height.valueNm, shape, underCeiling: plan?.underCeiling };
};

describe("a wall under a sloped ceiling", () => {
  // 12 by 10 ft, from 8 ft at wall A to 11 ft at wall C: 0.3 (arithmetic). Its short walls butt, and are 10 ft as framed.
  const loft = room("12'", "10'", sloped(feet(11)));

  it("rises with it, seen from inside the room", () => {
    expect(topOf(loft, "b")).toMatchObject({
      heightNm: feet(8),
      shape: { how: "slope", up: "right", highHeight: { valueNm: feet(11) } },
      underCeiling: true,
    });
    expect(topOf(loft, "d")).toMatchObject({ heightNm: feet(8), shape: { how: "slope", up: "left" } });
  });

  it("is level along the slope's foot, and at its own height where that is typed", () => {
    expect(topOf(loft, "a")).toMatchObject({ heightNm: feet(8), shape: { how: "level" } });
    const typed = { ...wallOn("b"), height: measured(feet(9), "9'") };
    expect(resolveWall(typed, planJob([loft]))).toMatchObject({
      height: { valueNm: feet(9) },
      shape: { how: "level" },
    });
  });

  it("is level along the slope's head, and as high as the ceiling is there", () => {
    expect(topOf(loft, "c")).toMatchObject({ heightNm: feet(11), shape: { how: "level" }, underCeiling: true });
  });

  it("is the same wherever the room stands and however it is turned", () => {
    const turned: Room = { ...loft, place: { how: "free", xNm: feet(31), yNm: -feet(7), turnDegrees: 37 } };
    const { heightNm, shape } = topOf(turned, "b");
    expect(heightNm).toBeCloseTo(feet(8), -2);
    expect(shape.how === "slope" && shape.highHeight.valueNm).toBeCloseTo(feet(11), -2);
  });

  it("has its figures typed in the room", () => {
    const wall = resolveWall(wallOn("b"), planJob([loft]));
    const typed = studWallKind.dimensions(wall, context).filter((slot) => /^(height|shape)/.test(slot.path));
    expect(typed.map((slot) => slot.typedOn)).toEqual([
      { partId: "loft", path: "ceiling.height" },
      { partId: "loft", path: "ceiling.highHeight" },
    ]);
  });

  it("steps each stud by spacing times slope (the framing square's common difference)", () => {
    const wall = resolveWall(wallOn("b"), planJob([loft]));
    const studs = countPart(wall, "imperial", library).pieces.filter((piece) => piece.role === "stud");
    const heights = studs.slice(1, -1).map((piece) => piece.heightNm);
    const steps = heights.slice(1).map((heightNm, index) => heightNm - (heights[index] ?? 0));
    for (const step of steps) expect(step).toBeCloseTo(inches(16 * 0.3), -2);
  });
});

describe("a wall under a vault", () => {
  it("is a gable across it, its ends going on down over the walls it runs through", () => {
    // 12 ft deep, 8 to 11 ft over 6 ft is 0.5; 4 1/2 in past each face is 2 1/4 in lower (arithmetic).
    const loft = room("10'", "12'", vaulted(feet(11)));
    const end = inches(4.5);
    expect(topOf(loft, "b")).toMatchObject({
      heightNm: feet(8) - end / 2,
      shape: { how: "gable", peakHeight: { valueNm: feet(11) }, peakAt: { valueNm: feet(6) + end } },
    });
  });

  it("is point by point where only a stretch of it is built", () => {
    const loft = room("12'", "10'", vaulted(inches(141)));
    const stretch = { how: "part" as const, from: measured(feet(2), "2'"), to: measured(feet(10), "10'") };
    const wall: StudWall = { ...wallOn("b"), plan: { roomId: "loft", hostId: "b", stretch } };
    // From 2 ft of ten: 8 ft + 2 x 0.75 = 9 1/2 ft; the ridge 3 ft on; the end as high as the walls (arithmetic).
    const { height, shape } = resolveWall(wall, planJob([loft]));
    expect(height.valueNm).toBe(feet(9.5));
    expect(shape).toMatchObject({
      how: "points",
      points: [
        { at: { valueNm: feet(3) }, height: { valueNm: inches(141) } },
        { at: { valueNm: feet(8) }, height: { valueNm: feet(8) } },
      ],
    });
  });
});

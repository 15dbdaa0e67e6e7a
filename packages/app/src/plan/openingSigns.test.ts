import type { PlanShape } from "@wide-porch/core";
import { leafPath, panePath } from "./openingSigns";
import { fitPlan, WHOLE } from "./planFit";

const M = 1_000_000_000;
/** A wall along the page, its room below: near and far on the room's side, then through the wall. */
const shape = (role: "door" | "window", nearX: number, farX: number): PlanShape => ({
  id: "o",
  role,
  closed: true,
  points: [
    { xNm: nearX * M, yNm: 0 },
    { xNm: farX * M, yNm: 0 },
    { xNm: farX * M, yNm: 0.1 * M },
    { xNm: nearX * M, yNm: 0.1 * M },
  ],
});
const fit = fitPlan({ left: 0, right: 4 * M, foot: -3 * M, top: M }, 432, 432, false, WHOLE);
const numbers = (path: string): number[] => path.match(/-?\d+(\.\d+)?/g)?.map(Number) ?? [];

describe("signs of openings", () => {
  it("draw a window's pane along the middle of the wall", () => {
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = numbers(panePath(shape("window", 1, 2), fit));
    expect(x2 - x1).toBeCloseTo(100, 0);
    expect(y1).toBe(y2);
    expect(y1).toBeCloseTo(fit.at({ xNm: 0, yNm: 0.05 * M }).y, 1);
  });

  it("open a door's leaf squarely into the room, as long as the door is wide", () => {
    const [x1 = 0, y1 = 0, tipX = 0, tipY = 0, radius] = numbers(leafPath(shape("door", 1, 1.9), fit));
    expect(tipX).toBeCloseTo(x1, 1);
    // Down the screen is down the page: into the room.
    expect(tipY - y1).toBeCloseTo(90, 0);
    expect(radius).toBeCloseTo(90, 0);
  });

  it("draw nothing of an opening without a wall's thickness, or without its corners", () => {
    const flat = { ...shape("door", 1, 2), points: shape("door", 1, 2).points.map((point) => ({ ...point, yNm: 0 })) };
    expect(leafPath(flat, fit)).toBe("");
    expect(panePath({ ...flat, points: [] }, fit)).toBe("");
  });
});

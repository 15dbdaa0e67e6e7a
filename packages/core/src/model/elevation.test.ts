import { countJob } from "../count";
import { polygonArea } from "../geometry";
import { planJob, resolveParts } from "../plan";
import { contexts, library } from "../testing/library";
import { rectangle, roofOf } from "../testing/roofs";
import { feet, inches } from "../units";
import { elevationFrom, type HouseSide, modelOf } from "./index";

const SQFT_PER_M2 = 10.763910416709722;

const roof = roofOf("imperial", rectangle(feet(30), feet(24), ["eave", "gable", "eave", "gable"]), { pitch: 1 });
const solidsOf = (of: typeof roof) => {
  const plan = planJob([of]);
  const parts = resolveParts([of], plan);
  return modelOf(countJob(parts, "imperial", library), parts, plan, contexts.imperial);
};
const seen = (of: typeof roof, side: HouseSide) => {
  const drawing = elevationFrom(solidsOf(of), side, "imperial");
  if (!drawing) throw new Error(`nothing to see from the ${side}`);
  return drawing;
};
const areaOf = (drawing: ReturnType<typeof seen>, role: string) =>
  drawing.rectangles
    .filter((each) => each.role === role)
    .reduce((sum, { points = [] }) => sum + polygonArea(points) * SQFT_PER_M2, 0);

/** A gable roof of 30 by 24 ft at 12 in 12, its ridge 12 ft up: what is seen of it is known from its figures (by hand). */
describe("the outside from a side", () => {
  it("shows one slope from the front, as high as it rises and as wide as it is long, and hides the other", () => {
    const front = seen(roof, "front");
    // The slope is three hundredths of a metre thick and lies on its rafters: its edge is seen below it.
    expect(areaOf(front, "roof-slope")).toBeGreaterThan(30 * 12);
    expect(areaOf(front, "roof-slope")).toBeLessThan(30 * 12.5);
    expect(areaOf(front, "roof-gable")).toBeLessThan(1);
    expect(front.widthNm).toBeGreaterThanOrEqual(feet(30));
    expect(front.widthNm).toBeLessThan(feet(30) + inches(4));
  });

  it("shows a gable from its end: half of 24 by 12 ft", () => {
    for (const side of ["left", "right"] as const) {
      const gable = areaOf(seen(roof, side), "roof-gable");
      expect(gable).toBeGreaterThan(130);
      expect(gable).toBeLessThanOrEqual(144.1);
    }
  });

  it("looks the same from the front and from the back, mirrored", () => {
    expect(areaOf(seen(roof, "back"), "roof-slope")).toBeCloseTo(areaOf(seen(roof, "front"), "roof-slope"), 3);
  });

  it("shows no slope twice: what is drawn is no more than its outline", () => {
    for (const side of ["front", "right", "back", "left"] as const) {
      const drawing = seen(roof, side);
      const all = drawing.rectangles.reduce((sum, { points = [] }) => sum + polygonArea(points), 0);
      expect(all).toBeLessThanOrEqual((drawing.widthNm / 1e9) * (drawing.heightNm / 1e9) * 1.001);
    }
  });

  it("shows nothing where nothing stands", () => {
    expect(elevationFrom([], "front", "imperial")).toBeUndefined();
  });
});

import { countPart } from "../../../../count/countPart";
import { isSheet } from "../../../../drawing/piece";
import { library } from "../../../../testing/library";
import { rectangle, roofOf } from "../../../../testing/roofs";
import { feet, toInches } from "../../../../units";
import type { Roof } from "../../schema";
import { boxed, turnedInto } from "./turned";

const counted = (roof: Roof) => countPart(roof, "imperial", library);
const panelsOf = (roof: Roof) => counted(roof).pieces.filter(isSheet);
const quantityOf = (roof: Roof, rule: string) => counted(roof).lines.find((line) => line.rule === rule)?.quantity;
/** 3-4-5: 12.8 ft on plan are 16 ft up the slope. */
const PITCH = 3 / 4;

/** 32 by 25.6 ft at 9 in 12: each slope 12.8 ft on plan, 16 ft up. Worked by hand. */
describe("panels laid out on slopes", () => {
  const gable = roofOf("imperial", rectangle(feet(32), feet(25.6), ["eave", "gable", "eave", "gable"]), {
    pitch: PITCH,
  });

  it("lie in courses from the eave, every other one begun with half a sheet", () => {
    // 16 ft are four courses of 4 ft; 32 ft are four sheets of 8 ft, or three and two halves.
    const slope = panelsOf(gable).filter(({ id }) => id.startsWith("panel-a-"));
    const widths = slope.map(({ widthNm }) => Number(toInches(widthNm).toFixed(1)));
    expect(widths.filter((width) => width === 96)).toHaveLength(4 + 3 + 4 + 3);
    expect(widths.filter((width) => width === 48)).toHaveLength(4);
  });

  it("come to sixteen sheets a slope, the halves two to a sheet, where waste by area says more", () => {
    expect(quantityOf(gable, "roofPanels")).toBe(32);
    expect(quantityOf({ ...gable, choices: { panelsBy: "by-area" } }, "roofPanelsByArea")).toBe(Math.ceil(32 * 1.1));
    expect(counted(gable).compared).toEqual([{ what: "Roof panels", laidOut: 32, byArea: 36 }]);
    expect(quantityOf(gable, "roofPanelsByArea")).toBeUndefined();
  });

  it("cover the slopes, with what hangs over and without what is cut out", () => {
    const hip = roofOf("imperial", rectangle(feet(36), feet(24), ["eave", "eave", "eave", "eave"]), {
      pitch: 0.5,
      overhangNm: feet(1.5),
    });
    const area = panelsOf(hip).reduce((sum, { points = [] }) => sum + shoelace(points), 0) / (0.3048 * 0.3048);
    // A hip roof of 24 by 36 ft at 6 in 12 with 18 in: 1177.29 sq ft (arithmetic).
    expect(area).toBeCloseTo(1177.29, 1);
  });

  it("are cut two and two where a hip slants them: fewer than by their boxes, and never fewer than their area", () => {
    const hip = roofOf("imperial", rectangle(feet(36), feet(24), ["eave", "eave", "eave", "eave"]), { pitch: 0.5 });
    const bought = quantityOf(hip, "roofPanels") ?? 0;
    const shared = panelsOf(hip).filter(({ sawn }) => sawn === "with-another");
    expect(shared.length).toBeGreaterThan(5);
    expect(bought).toBeGreaterThanOrEqual(Math.ceil(965.98 / 32));
    expect(bought).toBeLessThan(Math.ceil((965.98 * 1.25) / 32));
  });

  it("are nailed round each piece and on the rafters within it", () => {
    // Whole sheets 24 ft round at 6 in: 48, and six spaces of 16 in: five rafters within, each 4 ft at 12 in: 3 more. Halves: 32, two within.
    const whole = 48 + 5 * 3;
    const half = 32 + 2 * 3;
    expect(quantityOf(gable, "panelNails")).toBe(2 * (14 * whole + 4 * half));
  });

  it("lie on none of a roof that is not sheathed", () => {
    expect(panelsOf({ ...gable, choices: { sheathed: false } })).toEqual([]);
    expect(quantityOf({ ...gable, choices: { sheathed: false } }, "panelNails")).toBeUndefined();
  });
});

describe("slanting pieces", () => {
  const triangle = boxed([
    [0, 0],
    [1000, 0],
    [0, 1000],
  ]);
  it("of one slant make a rectangle, the second turned round", () => {
    const [first, second] = turnedInto([triangle, triangle], { wide: 2400, high: 1200 });
    // As wide as one, and the saw's cut along the slant.
    expect(first).toMatchObject({ how: "first", highMm: 1000, withIndex: 1 });
    expect(first?.how === "first" && first.wideMm).toBeCloseTo(1003, 6);
    expect(second).toEqual({ how: "second", ofIndex: 0 });
  });
  it("are left alone where two do not fit a sheet, or are square", () => {
    expect(turnedInto([triangle, triangle], { wide: 1001, high: 1200 }).map(({ how }) => how)).toEqual([
      "alone",
      "alone",
    ]);
    const square = boxed([
      [0, 0],
      [5, 0],
      [5, 5],
      [0, 5],
    ]);
    expect(turnedInto([square, square], { wide: 2400, high: 1200 }).map(({ how }) => how)).toEqual(["alone", "alone"]);
  });
});

const shoelace = (points: readonly { readonly xNm: number; readonly yNm: number }[]): number =>
  Math.abs(
    points.reduce((sum, { xNm, yNm }, index) => {
      const next = points[(index + 1) % points.length] ?? { xNm, yNm };
      return sum + ((xNm / 1e9) * (next.yNm / 1e9) - (next.xNm / 1e9) * (yNm / 1e9)) / 2;
    }, 0),
  );

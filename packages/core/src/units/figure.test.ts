import { FIGURE_MEASURES, type FigureMeasure, formatFigure, otherWays, parseFigure } from "./figure";
import type { MeasuringSystem } from "./length";

const read = (measure: FigureMeasure, text: string, system: MeasuringSystem = "imperial") => {
  const parsed = parseFigure(measure, text, system);
  return parsed.ok ? parsed.value : parsed.problem.message;
};
const SQ_FT = 0.09290304;

describe("an area", () => {
  // A square foot is 0.09290304 square metres exactly: the international foot, NIST SP 811.
  it.each<[string, MeasuringSystem, number]>([
    ["40", "imperial", 40 * SQ_FT],
    ["40 sq ft", "metric", 40 * SQ_FT],
    ["40 ft2 + 8", "imperial", 48 * SQ_FT],
    ["12' x 8'", "imperial", 96 * SQ_FT],
    ["2 × 3' × 4'6", "imperial", 27 * SQ_FT],
    ["3.5", "metric", 3.5],
    ["1.2m × 900mm", "metric", 1.08],
    ["2 × (1.2 m2 + 0.3)", "metric", 3],
    ["10 m² ÷ 4", "imperial", 2.5],
    ["10 m² ÷ 2 m × 3 m", "metric", Number.NaN],
  ])("%s in %s is %d m²", (text, system, m2) => {
    const value = read("area", text, system);
    if (Number.isNaN(m2)) expect(value).toBe("Divide by a plain number.");
    else expect(value).toBeCloseTo(m2, 9);
  });

  it.each([
    ["12'", "That is a length. Multiply two of them, or write an area."],
    ["12' + 40 sq ft", "A length and an area cannot be added."],
    ["2' × 3' × 4'", "An area times a length is a volume."],
    ["", "Type an area, or two lengths with × between them."],
    ["1e9", "“e9” is not part of an area."],
    ["99999999 m × 99999 m", "This is larger than any building."],
  ])("of “%s” is refused: %s", (text, message) => {
    expect(read("area", text)).toBe(message);
  });

  it("is no length, and a length's own entries are as before", () => {
    expect(read("length", "12' × 2'")).toBe(
      "A length times a length is an area. One of the two should be a plain number.",
    );
    expect(read("length", "40 sq ft")).toBe(
      "A length times a length is an area. One of the two should be a plain number.",
    );
    expect(read("length", "12' × 2")).toBe(24 * 304_800_000);
  });
});

describe("a pitch", () => {
  // 4 in 12 is 18.43 degrees, 6 is 26.57, 8 is 33.69, 12 is 45: rafter tables printed on framing squares (common practice).
  it.each([
    ["4 in 12", "18.43°", "1:3", "33.33 %"],
    ["6/12", "26.57°", "1:2", "50 %"],
    ["8:12", "33.69°", "1:1.5", "66.67 %"],
    ["12 in 12", "45°", "1:1", "100 %"],
    ["6 1/2 in 12", "28.44°", "1:1.85", "54.17 %"],
    ["18 in 12", "56.31°", "1.5:1", "150 %"],
  ])("of %s is %s, %s and %s", (text, ...ways) => {
    const value = read("pitch", text);
    const said = typeof value === "number" ? ways.map((_, at) => otherWays("pitch", value, "imperial")[at]) : value;
    expect(said).toEqual(ways);
  });

  it("typed bare is a rise in 12 in inches, and degrees in millimetres", () => {
    expect(read("pitch", "6")).toBe(0.5);
    expect(read("pitch", "45", "metric")).toBeCloseTo(1, 12);
    expect(formatFigure("pitch", 0.5, "metric")).toBe("26.57°");
    expect(read("pitch", "30 deg")).toBeCloseTo(Math.tan(Math.PI / 6), 12);
    expect(read("pitch", "0")).toBe(0);
    expect(formatFigure("pitch", 0, "imperial")).toBe("0 in 12");
  });

  it.each(["86°", "-3°", "200 in 12", "6 in 0", "in 12", "6 in twelve", "1:2:3", "", "°"])("“%s” is none", (text) => {
    expect(typeof read("pitch", text)).toBe("string");
  });
});

describe("figures that are plain numbers", () => {
  it.each<[FigureMeasure, string, number, string]>([
    ["angle", "22.5°", 22.5, "22.5°"],
    ["angle", "90 - 22.5", 67.5, "67.5°"],
    ["count", "3 × 4", 12, "12"],
    ["ratio", "1:4", 0.25, "1:4"],
    ["ratio", "1 to 5.5", 1 / 5.5, "1:5.5"],
    ["ratio", "3", 3, "3:1"],
    ["percent", "12.5 %", 12.5, "12.5 %"],
    ["percent", "10 + 2.5", 12.5, "12.5 %"],
    ["percent", "12,5 %", 12.5, "12.5 %"],
    ["money", "12,50", 12.5, "12.50"],
    ["money", "£12.50 × 3", 37.5, "37.50"],
    ["money", "-4", -4, "-4.00"],
  ])("%s %s is %d, said %s", (measure, text, value, said) => {
    expect(read(measure, text)).toBeCloseTo(value, 12);
    expect(formatFigure(measure, value, "imperial")).toBe(said);
  });

  it.each<[FigureMeasure, string, string]>([
    ["count", "2.5", "A count is a whole number."],
    ["count", "1 - 2", "A count is 0 or more."],
    ["count", "3'", "This is a plain number, with no unit."],
    ["angle", "361", "An angle is at most 360°."],
    ["ratio", "1:0", "Both parts of a ratio are more than 0."],
    ["ratio", "1:2:3", "A ratio has two parts: 1:4."],
    ["percent", "20000", "That is more than 10,000 %. Check the figure."],
    ["money", "1,200", "A comma could mean a thousand or a decimal. Write 1200 or 1.2 instead."],
    ["money", "1 ÷ 0", "This divides by zero."],
    ["money", "99999999999", "That is more than any job costs. Check the figure."],
  ])("a %s of %s is refused: %s", (measure, text, message) => {
    expect(read(measure, text)).toBe(message);
  });

  it("are read again as what they are said to be, whatever they measure", () => {
    for (const measure of FIGURE_MEASURES)
      for (const system of ["imperial", "metric"] as const) {
        const value = measure === "length" ? 3_048_000_000 : 1;
        expect([measure, read(measure, formatFigure(measure, value, system), system)]).toEqual([
          measure,
          expect.closeTo(value, measure === "area" ? 2 : 6),
        ]);
      }
  });
});

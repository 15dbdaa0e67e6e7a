import { AREA, COUNT, LENGTH, TEXT, VOLUME, YES_NO } from "../assemblies/formula";
import { valueText } from "./explain";

describe("a value in a working", () => {
  it.each([
    [3.6576, LENGTH, "12' 0\"", "3657.6 mm"],
    [9.290304, AREA, "100 sq ft", "9.29 m²"],
    [2.8316846592, VOLUME, "100 cu ft", "2.83 m³"],
    [2.5, COUNT, "2.5", "2.5"],
    [1 / 3, COUNT, "0.333", "0.333"],
    [true, YES_NO, "yes", "yes"],
    [false, YES_NO, "no", "no"],
    ["two-stud", TEXT, "two studs and clips", "two studs and clips"],
  ] as const)("%s of %j is %s, or %s", (value, type, imperial, metric) => {
    expect(valueText(value, { type }, "imperial").toLowerCase()).toBe(imperial);
    expect(valueText(value, { type }, "metric").toLowerCase()).toBe(metric);
  });

  it("of which no more is known is a plain figure", () => {
    expect(valueText(2.5, undefined, "imperial")).toBe("2.5");
  });
});

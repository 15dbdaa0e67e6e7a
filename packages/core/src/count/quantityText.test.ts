import { quantityParts, quantityText, unitWord } from "./quantityText";

describe("quantities in words", () => {
  // NIST SP 811, appendix B.8: 1 lb = 0.45359237 kg, 1 ft = 0.3048 m; a US gallon is 231 cu in (NIST Handbook 44, appendix C).
  it.each([
    [45.359237, "weight", "100 lb", "45.4 kg"],
    [0.3048, "length", "1 ft", "0.3 m"],
    [9.290304, "area", "100 sq ft", "9.29 m²"],
    [0.028316846592, "volume", "1 cu ft", "0.03 m³"],
    [0.003785411784, "liquid", "1 US gal", "3.8 L"],
    [1.255, "hour", "1.25 h", "1.25 h"],
  ])("%d of %s: %s, %s", (value, unit, imperial, metric) => {
    expect(quantityText(value, unit, "imperial")).toBe(imperial);
    expect(quantityText(value, unit, "metric")).toBe(metric);
  });

  it.each([
    [1, "piece", "1 piece"],
    [0, "piece", "0 pieces"],
    [2, "leaf", "2 leaves"],
    [3, "box", "3 boxes"],
    [3, "batch", "3 batches"],
    [3, "dish", "3 dishes"],
    [1.5, "sheet", "1.5 sheets"],
  ])("%d of a %s: %s", (count, unit, words) => {
    expect(quantityText(count, unit, "imperial")).toBe(words);
  });

  it("come apart into figure and unit for a column", () => {
    expect(quantityParts(9.290304, "area", "imperial")).toEqual({ figure: "100", unit: "sq ft" });
    expect(unitWord(1, "leaf")).toBe("leaf");
  });
});

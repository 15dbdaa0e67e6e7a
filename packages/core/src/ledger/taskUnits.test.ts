import fc from "fast-check";
import { hoursShown, hoursStored, taskUnit } from "./taskUnits";

describe("what hours are said for", () => {
  // NIST SP 811, appendix B.8: 1 ft = 0.3048 m, 1 ft² = 0.09290304 m², 1 yd³ = 0.764554857984 m³, 1 lb = 0.45359237 kg,
  // 1 US gal = 3.785411784 L.
  it.each([
    ["length", "1", "100 ft", "30.48", "m", "1"],
    ["area", "1", "100 sq ft", "9.2903", "m²", "1"],
    ["volume", "1", "cu yd", "0.7646", "m³", "1"],
    ["liquid", "1000", "US gal", "3.7854", "L", "1"],
    ["weight", "1", "100 lb", "45.3592", "100 kg", "100"],
    ["hour", "1", "hour", "1", "hour", "1"],
    ["sheet", "0.4", "sheet", "0.4", "sheet", "0.4"],
  ])("%s at %s h a base unit: for %s it is %s h, for %s %s h", (unit, hours, imperial, of, metric, metricOf) => {
    expect([taskUnit(unit, "imperial").words, hoursShown(hours, unit, "imperial")]).toEqual([imperial, of]);
    expect([taskUnit(unit, "metric").words, hoursShown(hours, unit, "metric")]).toEqual([metric, metricOf]);
  });

  it("0.08 h a square metre are 0.7432 h for 100 sq ft", () => {
    expect(hoursShown("0.08", "area", "imperial")).toBe("0.7432");
  });

  it("hours are shown again as they were typed, whatever they are for", () => {
    const typed = fc.integer({ min: 1, max: 99_999 }).map((thousandths) => (thousandths / 1000).toString());
    const unit = fc.constantFrom("length", "area", "volume", "liquid", "weight", "sheet");
    fc.assert(
      fc.property(typed, unit, fc.constantFrom("imperial", "metric"), (hours, of, system) => {
        expect(hoursShown(hoursStored(hours, of, system), of, system)).toBe(hours);
      }),
    );
  });
});

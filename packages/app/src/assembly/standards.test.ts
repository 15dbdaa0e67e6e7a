import { starterPriceList } from "@wide-porch/library";
import { wasteOptionsOf } from "./standards";

describe("what waste can be set for", () => {
  const options = wasteOptionsOf(starterPriceList.filter((item) => item.system === "imperial"));

  it("is each item of the price list, and a group before its own items", () => {
    const values = options.map((option) => option.value);
    const group = values.indexOf("timber/");
    expect(group).toBeGreaterThanOrEqual(0);
    expect(values[group + 1]?.startsWith("timber/")).toBe(true);
    expect(new Set(values).size).toBe(values.length);
  });

  it("says how many a group holds", () => {
    const timber = options.filter((option) => option.value.startsWith("timber/")).length - 1;
    expect(options.find((option) => option.value === "timber/")).toMatchObject({
      label: "All of “Timber”",
      under: `${timber} items`,
    });
  });

  it("is nothing for an empty price list", () => {
    expect(wasteOptionsOf([])).toEqual([]);
  });
});

import { gapText } from "./gapText";

const FOOT = 304_800_000;

describe("where a walk stands from its start", () => {
  it("is said in both directions of the page", () => {
    expect(gapText({ xNm: 3 * FOOT, yNm: -11.25 * FOOT }, "imperial")).toBe(
      "Now 3' 0\" right of and 11' 3\" below the start",
    );
    expect(gapText({ xNm: -1_000_000_000, yNm: 250_000_000 }, "metric")).toBe(
      "Now 1000 mm left of and 250 mm above the start",
    );
  });

  it("is nothing while there is no gap to tell", () => expect(gapText(undefined, "metric")).toBeUndefined());
});

import { countJob, partContext, studWallKind } from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import { groupLines, narrowed, tradesOf } from "./grouping";

const context = partContext("imperial", library);
const wall = (id: string, location: string) => ({
  ...studWallKind.withDimension(
    studWallKind.defaults(id, `Wall ${id}`, context),
    "length",
    12 * 304_800_000,
    "12'",
    context,
  ),
  location,
});
const counts = countJob([wall("a", "Porch"), wall("b", "Hall")], "imperial", library);
const all = { search: "", trade: "", onlyByHand: false };

describe("the count's list", () => {
  it("is put under headings of any kind, every line once", () => {
    const lines = narrowed(counts, all);
    for (const by of ["trade", "part", "location", "assembly", "phase"] as const) {
      const groups = groupLines(lines, by);
      expect(groups.flatMap((group) => group.lines)).toHaveLength(lines.length);
    }
    expect(groupLines(lines, "location").map((group) => group.title)).toEqual(["Ground, Porch", "Ground, Hall"]);
  });

  it("finds lines by all of the words, in any order, wherever they stand", () => {
    const found = narrowed(counts, { ...all, search: "hall STUDS 2x4" });
    expect(found.map((line) => [line.partName, line.description])).toEqual([["Wall b", "Studs, 2 × 4"]]);
    expect(narrowed(counts, { ...all, search: "slate" })).toEqual([]);
  });

  it("is narrowed to a trade, and to what was set by hand", () => {
    expect(tradesOf(counts)).toEqual(["Framing", "Fixings"]);
    expect(new Set(narrowed(counts, { ...all, trade: "Fixings" }).map((line) => line.trade))).toEqual(
      new Set(["Fixings"]),
    );
    expect(narrowed(counts, { ...all, onlyByHand: true })).toEqual([]);
  });
});

import { lineOf } from "../testing/lines";
import { compareCounts } from "./compareCounts";

const line = (id: string, quantity: number, itemCode = "nail/8d") => ({
  ...lineOf({ itemCode, buying: "whole" as const, unit: "nail", quantity }),
  id,
  partName: "Wall",
  description: id,
});

describe("what another version would change", () => {
  it("is each quantity that differs, from nothing where it is new, to nothing where it is gone", () => {
    const before = [line("same", 5), line("more", 5), line("gone", 4), line("other", 3)];
    const after = [line("same", 5), line("more", 6), line("new", 7), line("other", 3, "nail/16d")];
    expect(compareCounts(before, after).map(({ lineId, before: from, after: to }) => [lineId, from, to])).toEqual([
      ["more", 5, 6],
      ["gone", 4, 0],
      ["other", 3, 3],
      ["new", 0, 7],
    ]);
  });

  it("is nothing for a hair of rounding, and something for more", () => {
    expect(compareCounts([line("a", 5)], [line("a", 5 + 1e-10)])).toEqual([]);
    expect(compareCounts([line("a", 5)], [line("a", 5 + 1e-8)])).toHaveLength(1);
  });
});

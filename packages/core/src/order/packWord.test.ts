import { starterPriceList } from "../testing/library";
import { packWord } from "./packWord";

describe("packs in words", () => {
  it.each([
    [1, "length", "length"],
    [15, "length", "lengths"],
    [0, "sheet", "sheets"],
    [2, "5 lb box", "5 lb boxes"],
    [3, "roll of 900 sq ft", "rolls of 900 sq ft"],
    [1, "roll of 900 sq ft", "roll of 900 sq ft"],
    [7, "leaf", "leaves"],
    [4, "each", "each"],
    [2.5, "h", "h"],
  ])("%p of “%s” is “%s”", (count, unitName, wanted) => {
    expect(packWord(count, unitName)).toBe(wanted);
  });

  it("says one and many of every pack in the starter prices", () => {
    for (const { buying } of starterPriceList) {
      if (!("packName" in buying)) continue;
      expect(packWord(1, buying.packName)).toBe(buying.packName);
      expect(packWord(2, buying.packName)).toMatch(
        /(feet|(box|roll|pack|bag|pail|tub|crate|cube|can|kit|length|bundle|board|metre|gallon|tin|carton|coil|step|tonne|ton|sheet|panel)e?s)\b/,
      );
    }
  });
});

import fc from "fast-check";
import { countPart, plainLine } from "../count";
import { library, starterPriceList, wallOf } from "../testing/library";
import { feet, inches } from "../units";
import { cutQuickly, orderJob } from "./index";

const piece = (id: string, lengthNm: number) => ({ id, lengthNm });
const STOCK = [8, 10, 12, 14, 16].map((each) => ({ lengthNm: feet(each), cost: feet(each) }));
const saw = (kerfNm: number) => ({ kerfNm, endTrimNm: 0 });

describe("cutting bars", () => {
  it("gives precut studs of 92 5/8 in an 8 ft bar each rather than two out of 16 ft, which waste as much", () => {
    const { bars } = cutQuickly([piece("a", inches(92.625)), piece("b", inches(92.625))], STOCK, saw(inches(0.125)));
    expect(bars.reduce((sum, bar) => sum + bar.stockNm, 0)).toBe(feet(16));
  });

  it("says which pieces no stock reaches", () => {
    const { bars, tooLong } = cutQuickly([piece("long", feet(22)), piece("short", feet(3))], STOCK, saw(0));
    expect(tooLong.map((each) => each.id)).toEqual(["long"]);
    expect(bars).toHaveLength(1);
  });

  it("cuts every piece once, and no bar beyond its length, saw cuts included", () => {
    const lengths = fc.array(fc.integer({ min: inches(2), max: feet(16) }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(lengths, (all) => {
        const pieces = all.map((lengthNm, index) => piece(String(index), lengthNm));
        const { bars } = cutQuickly(pieces, STOCK, saw(inches(0.125)));
        const cut = bars.flatMap((bar) => bar.pieces.map((each) => each.id));
        expect(cut.toSorted()).toEqual(pieces.map((each) => each.id).toSorted());
        const over = bars.filter((bar) => {
          const used = bar.pieces.reduce((sum, each) => sum + each.lengthNm, 0);
          return used + (bar.pieces.length - 1) * inches(0.125) > bar.stockNm;
        });
        expect(over).toEqual([]);
      }),
    );
  });
});

describe("the order", () => {
  const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125), sheathed: true });
  const { lines } = countPart(wall, "imperial", library);

  it("shares packs over the whole job: two walls need no second box of nails that one can hold", () => {
    const twice = [...lines, ...lines.map((line) => ({ ...plainLine(line), id: `other/${line.id}` }))];
    const boxes = (all: typeof lines) =>
      orderJob(all, starterPriceList, "imperial").lines.find((line) => line.itemCode === "nail/10d")?.quantity;
    expect([boxes(lines), boxes(twice)]).toEqual([1, 1]);
  });

  it("adds the waste before it rounds up to whole boxes", () => {
    const nails = [
      { ...lines[0], itemCode: "nail/16d", unit: "nail", buying: "whole", quantity: 210, cutLengthsNm: [] },
    ] as typeof lines;
    const line = orderJob(nails, starterPriceList, "imperial").lines[0];
    // 210 and 5 % is 220.5; a box holds 220.
    expect(line).toMatchObject({ quantity: 2, need: "210 nails", note: "210 nails + 5 % waste, 220 to a 5 lb box" });
  });

  it("lists what the price list lacks, with no price, and says what for", () => {
    const without = starterPriceList.filter((item) => item.code !== "timber/2x4");
    const order = orderJob(lines, without, "imperial");
    expect(order.lines.find((line) => line.itemCode === "timber/2x4")?.unitPrice).toBeNull();
    expect(order.problems[0]).toMatchObject({ code: "no-price-item", path: "timber/2x4" });
    expect(order.problems[0]?.message).toContain("studs");
  });
});

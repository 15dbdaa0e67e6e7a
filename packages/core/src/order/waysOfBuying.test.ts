import fc from "fast-check";
import { buildUpJob } from "../price";
import { starterCompanySettings, starterPriceList } from "../testing/library";
import { itemOf, lineOf, soldByLength, times } from "../testing/lines";
import { feet, inches, metres, toMetres } from "../units";
import { keepBars, type Order, orderJob, type PriceItem, usualCutting } from "./index";

const TIMBER = "timber/2x4";
const studs = (count: number, lengthNm = inches(92.625)) =>
  lineOf({ itemCode: TIMBER, buying: "cut", unit: "piece", cutLengthsNm: times(count, lengthNm) });
const backing = (lengthFt: number) =>
  lineOf({ itemCode: TIMBER, buying: "run", unit: "length", quantity: toMetres(feet(lengthFt)) });
const boughtFt = ({ lines }: Order, code = TIMBER): number =>
  lines
    .filter((line) => line.itemCode === code)
    .reduce((sum, line) => sum + (line.quantity * (line.stockNm ?? 0)) / feet(1), 0);
const order = (
  lines: Parameters<typeof orderJob>[0],
  items: readonly PriceItem[] = starterPriceList,
  cutting = usualCutting,
) => orderJob(lines, items, "imperial", cutting);
const messages = ({ problems }: Order): string => problems.map((each) => each.message).join(" ");

describe("lines of one item that are bought in different ways", () => {
  it("are all bought: 60 ft of backing beside the studs of a wall, in either order", () => {
    const apart = boughtFt(order([studs(10)])) + boughtFt(order([backing(60)]));
    expect(boughtFt(order([studs(10), backing(60)]))).toBe(apart);
    expect(boughtFt(order([backing(60), studs(10)]))).toBe(apart);
    expect(apart).toBeGreaterThanOrEqual(10 * 8 + 60);
  });

  it("share the lines of the order, each stock length once, with all that it is needed for", () => {
    const [cut, run] = [studs(2, feet(16)), backing(32)];
    const { lines } = order([cut, run]);
    expect(new Set(lines.map((line) => line.id)).size).toBe(lines.length);
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatchObject({ quantity: 4, stockNm: feet(16), countLineIds: [cut.id, run.id] });
  });

  it("cost each part what it needs: half of four bars to the part that cuts two, half to the one that joins two", () => {
    const cut = { ...studs(2, feet(16)), partId: "a", id: "a/studs" };
    const run = { ...backing(32), partId: "b", id: "b/backing" };
    const counts = [cut, run].map((line) => ({
      partId: line.partId,
      partName: line.partId,
      waits: false,
      compared: [],
      lines: [line],
      scope: [],
      pieces: [],
      drawing: { kind: "none" as const },
      problems: [],
      openPoints: [],
    }));
    const { byPart } = buildUpJob({
      counts,
      order: order([cut, run]),
      priceList: starterPriceList,
      pricing: starterCompanySettings.pricing,
      system: "imperial",
    });
    expect(byPart[0]?.price).toBe(byPart[1]?.price);
  });
});

describe("a running length", () => {
  const bought = (lengthFt: number, stock: readonly (readonly [number, string | null])[]) =>
    order(
      [backing(lengthFt)],
      [
        soldByLength(
          TIMBER,
          stock.map(([each, price]) => [feet(each), price]),
        ),
      ],
    ).lines.map((line) => [(line.stockNm ?? 0) / feet(1), line.quantity]);

  it("is bought the cheapest way that holds it, which is not always the cheapest length for each foot and a rest", () => {
    // 16 ft at 0.58 a foot and 8 ft for the last foot are 13.92; 8 and 10 ft are 10.44.
    const stock = [
      [8, "4.64"],
      [10, "5.80"],
      [16, "9.28"],
    ] as const;
    expect(bought(17, stock)).toEqual([
      [10, 1],
      [8, 1],
    ]);
    expect(bought(16, stock)).toEqual([[16, 1]]);
    expect(bought(0.01, stock)).toEqual([[8, 1]]);
  });

  it("passes over a first length that is dear for what it holds", () => {
    expect(
      bought(24, [
        [8, "9.00"],
        [12, "10.00"],
      ]),
    ).toEqual([[12, 2]]);
  });

  it("of any length costs no more than any one length alone, nor any two together, and holds it", () => {
    const lengths = fc.uniqueArray(fc.integer({ min: 2, max: 20 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        lengths,
        fc.infiniteStream(fc.integer({ min: 100, max: 3000 })),
        (need, feetSold, prices) => {
          const stock = feetSold.map((each) => [each, (Number(prices.next().value) / 100).toFixed(2)] as const);
          const chosen = bought(need, stock);
          const priceOf = (ft: number | undefined) => Number(stock.find(([each]) => each === ft)?.[1]);
          const cost = chosen.reduce((sum, [ft, count = 0]) => sum + priceOf(ft) * count, 0);
          expect(chosen.reduce((sum, [ft = 0, count = 0]) => sum + ft * count, 0)).toBeGreaterThanOrEqual(need);
          for (const [a] of stock)
            for (const [b] of stock)
              for (let first = 0; first <= Math.ceil(need / a); first += 1) {
                const second = Math.max(0, Math.ceil((need - first * a) / b));
                expect(cost).toBeLessThanOrEqual(first * priceOf(a) + second * priceOf(b) + 1e-6);
              }
        },
      ),
      { numRuns: 60 },
    );
  });

  it("that a rule buys whole is a running length all the same: 30 m is no thirty lengths", () => {
    const whole = lineOf({ itemCode: "trim", buying: "whole", unit: "length", quantity: 30 });
    const { lines } = order([whole], [soldByLength("trim", [[metres(3), "5.00"]])]);
    expect(lines).toMatchObject([{ quantity: 10, unitPrice: "5.00" }]);
  });
});

describe("one item counted in units that do not add up", () => {
  const roll = itemOf(
    "roll",
    { by: "cover", cover: 10, packName: "roll", price: "20.00" },
    { name: "Roll", system: "metric" },
  );
  const of = (unit: string, quantity: number) => lineOf({ itemCode: "roll", buying: "whole", unit, quantity });

  it("is ordered apart and said: 20 m² and 20 m are no 40 of anything", () => {
    const both = order([of("area", 20), of("length", 20)], [roll]);
    expect(both.lines.map((line) => line.quantity)).toEqual([2, 2]);
    expect(both.lines.map((line) => line.need)).toEqual(["215.28 sq ft", "65.6 ft"]);
    expect(messages(both)).toContain("does not add up");
    expect(order([of("area", 20), of("area", 20)], [roll])).toMatchObject({ lines: [{ quantity: 4 }], problems: [] });
  });

  it("and has no price where it is counted as an area and sold by the length", () => {
    const { lines, problems } = order(
      [lineOf({ itemCode: "trim", buying: "whole", unit: "area", quantity: 5 })],
      [soldByLength("trim", [[metres(3), "5.00"]])],
    );
    expect(lines[0]?.unitPrice).toBeNull();
    expect(problems[0]?.message).toContain("sold by the length");
  });

  it("is said where a measured quantity is sold in packs of pieces", () => {
    const nails = lineOf({ itemCode: "nail/16d", buying: "whole", unit: "weight", quantity: 3 });
    expect(messages(order([nails]))).toContain("by weight");
  });
});

describe("a count set by hand on a line that could not be counted", () => {
  it("buys a whole length for each piece, the longest that is sold, and says so", () => {
    const byHand = lineOf({ itemCode: TIMBER, buying: "cut", unit: "piece", quantity: 12, byHand: "counted on site" });
    const { lines, problems } = order([byHand]);
    expect(lines).toMatchObject([{ quantity: 12, stockNm: feet(16) }]);
    expect(problems[0]?.message).toContain("nobody has said how long");
  });
});

describe("a row of the order for what is cut", () => {
  const spared = (wastePercent: number) =>
    starterPriceList.map((item) => (item.code === TIMBER ? { ...item, wastePercent } : item));
  const said = (count: number, wastePercent: number) => {
    const { lines } = order([studs(count)], spared(wastePercent));
    const pieces = lines.reduce((sum, { note }) => sum + Number.parseInt(note, 10), 0);
    return [...new Set(lines.map(({ need, waste }) => `${need}, ${waste}`)), pieces];
  };

  it("says how many pieces are needed, and how many are to spare; all of them are cut", () => {
    expect(said(5, 0)).toEqual(["5 pieces, ", 5]);
    expect(said(5, 20)).toEqual(["5 pieces, 1 piece to spare", 6]);
    expect(said(5, 21)).toEqual(["5 pieces, 2 pieces to spare", 7]);
    expect(said(1, 0)).toEqual(["1 piece, ", 1]);
  });
});

describe("a cut list that was kept", () => {
  // Two of 47.9 in out of 8 ft, by a saw that takes an eighth.
  const lines = [studs(5), studs(4, inches(47.9))];
  const item = starterPriceList.find((each) => each.code === TIMBER);
  const made = order(lines).cuts[0];
  const kept = { ...usualCutting, kept: { [TIMBER]: keepBars(made?.bars ?? []) } };
  const soldOnly = (lengthNm: number): PriceItem[] =>
    item?.buying.by === "length"
      ? [{ ...item, buying: { by: "length", stock: item.buying.stock.filter((each) => each.lengthNm === lengthNm) } }]
      : [];

  it("is in force as it stands", () => {
    const now = order(lines, starterPriceList, kept);
    expect(now).toMatchObject({ cuts: [{ kept: true, cost: made?.cost, boughtNm: made?.boughtNm }], problems: [] });
    expect(made?.cost).toBeGreaterThan(0);
    expect(now.lines.map(({ quantity, stockNm }) => [quantity, stockNm])).toEqual(
      order(lines).lines.map(({ quantity, stockNm }) => [quantity, stockNm]),
    );
  });

  it.each([
    ["a wider saw cut", { ...kept, kerfNm: inches(1) }, starterPriceList],
    ["a trim of two feet", { ...kept, endTrimNm: feet(2) }, starterPriceList],
    ["stock that is sold no longer", kept, soldOnly(feet(12))],
  ])("is let go for %s: what is cut then fits its bars, is paid for, and it is said", (_, cutting, items) => {
    const now = order(lines, items, cutting);
    expect(now.cuts[0]?.kept).toBe(false);
    expect(messages(now)).toContain("in force no longer");
    const cut = now.cuts[0]?.bars.flatMap((bar) => bar.pieces) ?? [];
    expect(cut.length + (now.cuts[0]?.tooLong.length ?? 0)).toBe(9);
    for (const { stockNm, pieces } of now.cuts[0]?.bars ?? []) {
      const used = pieces.reduce(
        (sum, each) => sum + each.lengthNm + cutting.kerfNm,
        cutting.endTrimNm - cutting.kerfNm,
      );
      expect(used).toBeLessThanOrEqual(stockNm);
    }
    expect(now.cuts[0]?.cost).toBeGreaterThan(0);
  });

  it("is let go when the offcut it begins with is gone from the yard", () => {
    const yard = [{ id: "o", itemCode: TIMBER, lengthNm: inches(93), count: 1 }];
    const withYard = order(lines, starterPriceList, { ...usualCutting, yard });
    expect(withYard.cuts[0]?.bars.some((bar) => bar.fromYard)).toBe(true);
    const keptOfYard = { [TIMBER]: keepBars(withYard.cuts[0]?.bars ?? []) };
    expect(order(lines, starterPriceList, { ...usualCutting, yard, kept: keptOfYard }).cuts[0]?.kept).toBe(true);
    const gone = order(lines, starterPriceList, { ...usualCutting, kept: keptOfYard });
    expect(gone.cuts[0]?.kept).toBe(false);
    expect(boughtFt(gone)).toBe(boughtFt(order(lines)));
  });

  it("stays in force beside a piece that no stock reaches, which is told as before", () => {
    const long = [...lines, studs(1, feet(30))];
    const now = order(long, starterPriceList, kept);
    expect(now.cuts[0]).toMatchObject({ kept: true, tooLong: [{ lengthNm: feet(30) }] });
    expect(messages(now)).toContain("longer than any stock");
  });
});

import Big from "big.js";
import fc from "fast-check";
import type { PartCount } from "../count";
import { reckonJob, startJob } from "../job";
import type { StudWall } from "../kinds";
import { orderJob, type PriceItem } from "../order";
import { library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { itemOf, lineOf, soldByLength, times } from "../testing/lines";
import { feet, inches, sumMoney } from "../units";
import {
  type Costing,
  type Extra,
  groupLedger,
  isOwn,
  LEDGER_KEYS,
  type LedgerLine,
  makeLedger,
  newExtra,
} from "./index";

const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const costing: Costing = { ...job.pricing, crews: [], tasks: [], extras: [], linesSet: {} };
const countOf = (partId: string, lines: PartCount["lines"]): PartCount => ({
  partId,
  partName: partId,
  waits: false,
  compared: [],
  lines: lines.map((line) => ({ ...line, partId, partName: partId, id: `${partId}/${line.key}` })),
  scope: [],
  pieces: [],
  drawing: { kind: "none" },
  problems: [],
  openPoints: [],
});
const ledgerOf = (counts: readonly PartCount[], priceList: readonly PriceItem[], more: Partial<Costing> = {}) => {
  const lines = counts.flatMap((count) => count.lines);
  const order = orderJob(lines, priceList, "imperial");
  const ledger = makeLedger({ counts, order, priceList, costing: { ...costing, ...more }, system: "imperial" });
  const ordered = order.lines.reduce(
    (sum, { unitPrice, quantity }) => sum.plus(new Big(unitPrice ?? 0).times(quantity)),
    new Big(0),
  );
  return { order, ledger, ordered: ordered.toFixed(2) };
};
const costOf = (lines: readonly LedgerLine[]): string => sumMoney(lines.map((line) => line.cost));
const material = (lines: readonly LedgerLine[]) => lines.filter(({ kind }) => kind === "material");

describe("what a line uses", () => {
  // Two pieces of 7 ft out of one length of 16 ft at 8.00: 14 ft are 7.00, and 2 ft are left (arithmetic).
  it("of a stock length is what it cuts from it; the rest of the length is a line of its own", () => {
    const cut = lineOf({ itemCode: "t", buying: "cut", unit: "piece", cutLengthsNm: times(2, feet(7)) });
    const { ledger, ordered } = ledgerOf([countOf("a", [cut])], [soldByLength("t", [[feet(16), "8.00"]])]);
    expect(ledger.map(({ source, cost }) => [source, cost])).toEqual([
      ["counted", "7.00"],
      ["rest", "1.00"],
    ]);
    expect(costOf(ledger)).toBe(ordered);
    expect(ledger[1]?.what).toBe("Rest of packs and lengths: t");
  });

  it("goes by the cheapest length that a piece can be cut from, whatever lengths the job buys", () => {
    const stock = soldByLength("t", [
      [feet(8), "3.20"],
      [feet(16), "8.00"],
    ]);
    const cut = (ft: number) => lineOf({ itemCode: "t", buying: "cut", unit: "piece", cutLengthsNm: [feet(ft)] });
    const { ledger } = ledgerOf([countOf("a", [cut(7), cut(10)])], [stock]);
    expect(ledger.filter(isOwn).map(({ cost }) => cost)).toEqual(["2.80", "5.00"]);
  });

  // 46 at 2.35 are 108.10; 36 at 3.40 are 122.40 (arithmetic).
  it.each([
    [46, "2.35", "108.10"],
    [36, "3.40", "122.40"],
    [1, "2.675", "2.68"],
  ])("sold one by one: %s at %s are %s", (quantity, price, cost) => {
    const line = lineOf({ itemCode: "s", buying: "whole", unit: "piece", quantity });
    const { ledger } = ledgerOf([countOf("a", [line])], [itemOf("s", { by: "each", price })]);
    expect(ledger[0]).toMatchObject({ cost, rate: price, source: "counted" });
  });

  // 150 m at 0.84 are 126.00; 180 m at 0.72 are 129.60 (arithmetic).
  it("by the foot is what is shown times what is shown", () => {
    const line = lineOf({ itemCode: "c", buying: "whole", unit: "length", quantity: 45.72 });
    const { ledger } = ledgerOf(
      [countOf("a", [line])],
      [itemOf("c", { by: "cover", cover: 30.48, packName: "roll", price: "84.00" })],
    );
    expect(ledger[0]).toMatchObject({ quantity: "150", unitName: "ft", rate: "0.84", cost: "126.00" });
    expect(ledger[1]).toMatchObject({ source: "rest", cost: "42.00" });
  });

  it("has its waste in it, and is said as counted", () => {
    const line = lineOf({ itemCode: "s", buying: "whole", unit: "piece", quantity: 100, wastePercent: 10 });
    const { ledger } = ledgerOf([countOf("a", [line])], [itemOf("s", { by: "each", price: "2.00" })]);
    expect(ledger).toMatchObject([{ quantity: "100", rate: "2.20", cost: "220.00" }]);
  });

  it("less where cutting over the job spares some: the rest is less than nothing, and says so", () => {
    const lines = [20, 20].map((quantity) =>
      lineOf({ itemCode: "s", buying: "whole", unit: "sheet", quantity, ordered: 19 }),
    );
    const { ledger, ordered } = ledgerOf([countOf("a", lines)], [itemOf("s", { by: "each", price: "30.00" })]);
    expect(ledger.map(({ what, cost }) => [what, cost]).at(-1)).toEqual(["Spared over the job: s", "-60.00"]);
    expect(costOf(ledger)).toBe(ordered);
  });

  it("is of the kind that the price list says: a hire is plant", () => {
    const line = lineOf({ itemCode: "h", buying: "whole", unit: "day", quantity: 2.5 });
    const { ledger } = ledgerOf(
      [countOf("a", [line])],
      [itemOf("h", { by: "each", price: "40.00" }, { kind: "plant" })],
    );
    expect(ledger.map(({ kind, source, cost }) => [kind, source, cost])).toEqual([
      ["plant", "counted", "100.00"],
      ["plant", "rest", "20.00"],
    ]);
  });

  it("of what nobody sells, or has a price for, is there at no cost", () => {
    const line = lineOf({ itemCode: "gone", buying: "whole", unit: "piece", quantity: 3 });
    const free = lineOf({ itemCode: "free", buying: "whole", unit: "piece", quantity: 3 });
    const { ledger } = ledgerOf([countOf("a", [line, free])], [itemOf("free", { by: "each", price: null })]);
    expect(ledger.map(({ cost, rate, quantity }) => [cost, rate, quantity])).toEqual([
      ["0.00", null, "3"],
      ["0.00", null, "3"],
    ]);
  });
});

describe("labour", () => {
  const tasks = [{ id: "fit", name: "Fit", unit: "piece", hoursPerUnit: "0.25" }];
  const crew = { id: "c", name: "Roofers", ratePerHour: "30.00", onCostPercent: "12.5", trades: ["Covering"] };
  const line = lineOf({
    itemCode: "",
    buying: "whole",
    unit: "piece",
    quantity: 84,
    labourTask: "fit",
    trade: "Covering",
  });

  it("is by the line: 84 at 15 min are 21 h (arithmetic)", () => {
    const { ledger } = ledgerOf([countOf("a", [line])], [], { tasks, ratePerHour: "46" });
    expect(ledger).toMatchObject([{ kind: "labour", hours: "21", rate: "46", cost: "966.00", crew: "" }]);
  });

  it("of a crew's trade is at the crew's hour with its on-costs: 30.00 and 12.5 % are 33.75", () => {
    const { ledger } = ledgerOf([countOf("a", [line, { ...line, key: "k", trade: "Framing" }])], [], {
      tasks,
      crews: [crew],
      ratePerHour: "46",
    });
    expect(ledger.map(({ rate, cost, crew: who }) => [rate, cost, who])).toEqual([
      ["33.75", "708.75", "Roofers"],
      ["46", "966.00", ""],
    ]);
  });
});

describe("what is typed in", () => {
  const extra = (quantity: string, cost: string, minutes: string): Extra => ({
    ...newExtra("x", "material", "Sockets", cost),
    section: "First fix",
    quantity,
    unit: "piece",
    minutes,
  });
  const typed = (each: Extra) => ledgerOf([], [], { extras: [each], ratePerHour: "31" }).ledger;

  // 46 at 2.35 and half an hour each: 108.10 and 23 h; 84 at 15 min: 21 h; 180 m at 0.72 and 5 min: 129.60, 15 h; sockets, 36 at 3.40
  // and 20 min: 122.40 and 12 h; 150 m at 0.84 and 4 min: 126.00 and 10 h (arithmetic).
  it.each([
    ["46", "2.35", "30", "108.10", "23"],
    ["180", "0.72", "5", "129.60", "15"],
    ["36", "3.40", "20", "122.40", "12"],
    ["150", "0.84", "4", "126.00", "10"],
  ])("%s at %s and %s min: %s and %s h", (quantity, cost, minutes, comesTo, hours) => {
    const [bought, fitted] = typed(extra(quantity, cost, minutes));
    expect(bought).toMatchObject({ kind: "material", cost: comesTo, section: "First fix" });
    expect(fitted).toMatchObject({ kind: "labour", hours, cost: (Number(hours) * 31).toFixed(2) });
  });

  it("is one line where it costs nothing, or takes no time", () => {
    expect(typed(extra("84", "0", "15"))).toMatchObject([{ kind: "labour", hours: "21" }]);
    expect(typed(extra("84", "2", "0"))).toMatchObject([{ kind: "material", cost: "168.00" }]);
  });
});

const wall = (id: string, lengthFt: number): StudWall => ({
  ...wallOf("imperial", {
    lengthNm: feet(lengthFt),
    heightNm: inches(97.125),
    sheathed: lengthFt % 2 === 0,
    choices: { boardsNear: 1 },
    openings: [openingOf("door", "d", { positionNm: inches(12), widthNm: inches(38), heightNm: inches(82.5) })],
  }),
  id,
  name: id,
});
const anyWalls = fc
  .uniqueArray(fc.integer({ min: 8, max: 40 }), { minLength: 1, maxLength: 5 })
  .map((lengths) => lengths.map((lengthFt) => wall(`w${lengthFt}`, lengthFt)));

describe("the ledger of any walls", () => {
  it("adds up to the order and, by whatever it is grouped, to itself at every level", () => {
    const keys = fc.uniqueArray(fc.constantFrom(...LEDGER_KEYS), { minLength: 1, maxLength: 3 });
    fc.assert(
      fc.property(anyWalls, keys, (walls, by) => {
        const { order, buildUp } = reckonJob(job, walls, starterPriceList, library);
        const bought = order.lines.reduce(
          (sum, each) => sum.plus(new Big(each.unitPrice ?? 0).times(each.quantity)),
          new Big(0),
        );
        expect(costOf(material(buildUp.ledger))).toBe(bought.toFixed(2));
        expect(new Set(buildUp.ledger.map(({ id }) => id)).size).toBe(buildUp.ledger.length);
        for (const { cost, shares } of buildUp.ledger) expect(sumMoney(shares.map((share) => share.cost))).toBe(cost);
        const groups = groupLedger(buildUp.ledger, by);
        expect(sumMoney(groups.map((group) => group.cost))).toBe(buildUp.cost);
        const check = (group: (typeof groups)[number]): void => {
          const within = group.groups.length > 0 ? group.groups : group.lines;
          expect(sumMoney(within.map((each) => each.cost))).toBe(group.cost);
          group.groups.forEach(check);
        };
        groups.forEach(check);
      }),
      { numRuns: 25, endOnFailure: true },
    );
  });

  it("is the same, line for line, when a part is taken out, but for what is shared; the price falls by that part's own to the cent", () => {
    fc.assert(
      fc.property(anyWalls, (walls) => {
        const [gone, ...left] = walls;
        if (!gone) return;
        const all = reckonJob(job, walls, starterPriceList, library).buildUp;
        const rest = reckonJob(job, left, starterPriceList, library).buildUp;
        const own = (lines: readonly LedgerLine[], id?: string) =>
          lines.filter((line) => isOwn(line) && line.partId !== id).map(({ id: each, cost }) => [each, cost]);
        expect(own(all.ledger, gone.id)).toEqual(own(rest.ledger));
        const shared = all.ledger.filter((line) => !isOwn(line));
        // With the same rest bought for those that are left, the price is what it was less the part's own.
        const partOwn = all.byPart.find(({ partId }) => partId === gone.id)?.own ?? "0";
        const bareCosts = new Map<string, Big>();
        for (const line of [...rest.ledger.filter(isOwn), ...shared])
          bareCosts.set(line.kind, (bareCosts.get(line.kind) ?? new Big(0)).plus(line.cost));
        const cost = [...bareCosts.values()].reduce((sum, each) => sum.plus(each), new Big(0));
        const cent = (amount: Big) => amount.round(2, Big.roundHalfUp);
        const overhead = cent(cost.times(job.pricing.overhead.percent).div(100));
        const markup = [...bareCosts].reduce((sum, [kind, amount]) => {
          const percent = kind === "labour" ? job.pricing.markupPercent.labour : job.pricing.markupPercent.material;
          return sum.plus(cent(amount.times(percent).div(100)));
        }, new Big(0));
        expect(new Big(all.priceBeforeTax).minus(partOwn).toFixed(2)).toBe(cost.plus(overhead).plus(markup).toFixed(2));
      }),
      { numRuns: 15, endOnFailure: true },
    );
  });
});

import Big from "big.js";
import fc from "fast-check";
import { reckonJob, startJob } from "../job";
import { COST_KINDS, newExtra, TAX_CLASSES } from "../ledger";
import { library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, sumMoney } from "../units";
import { linePrices, type Pricing } from "./index";
import { taxesOn } from "./taxes";

const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const taxed = (change: Partial<Pricing["tax"]>): Pricing => ({
  ...job.pricing,
  tax: { ...job.pricing.tax, ...change },
});
const wall = wallOf("imperial", {
  lengthNm: feet(16),
  heightNm: inches(97.125),
  openings: [openingOf("door", "d", { positionNm: feet(2), widthNm: inches(38), heightNm: inches(82.5) })],
});
const priced = (pricing: Pricing) => reckonJob({ ...job, pricing }, [wall], starterPriceList, library).buildUp;

describe("tax by class", () => {
  // 20 % on 1,234.55 and 5 % on 876.45: 246.91 and 43.82 (arithmetic).
  it("is rounded once for each class", () => {
    const pricing = taxed({ percent: "20", reducedPercent: "5" });
    const bases = new Map([
      ["standard", "1234.55"],
      ["reduced", "876.45"],
      ["none", "10.00"],
    ] as const);
    expect(taxesOn(bases, pricing).map(({ amount }) => amount)).toEqual(["246.91", "43.82", "0.00"]);
  });

  it("is on the whole price where all is taxed alike, and on none of it where nothing is", () => {
    const all = priced(taxed({ percent: "20" }));
    expect(all.taxes).toMatchObject([{ class: "standard", base: all.priceBeforeTax, amount: all.tax }]);
    const none = Object.fromEntries(COST_KINDS.map((kind) => [kind, "none"])) as Pricing["tax"]["byKind"];
    expect(priced(taxed({ percent: "20", byKind: none }))).toMatchObject({ tax: "0.00", taxes: [{ class: "none" }] });
  });

  it("of one kind, one line or one typed cost is that alone; classes add up to the price", () => {
    const byKind = { ...job.pricing.tax.byKind, labour: "reduced" as const };
    const two = priced(taxed({ percent: "20", reducedPercent: "5", byKind }));
    expect(two.taxes.map((each) => each.class)).toEqual(["standard", "reduced"]);
    expect(sumMoney(two.taxes.map(({ base }) => base))).toBe(two.priceBeforeTax);
    const [line] = two.ledger.filter(({ cost }) => Number(cost) > 1);
    if (!line) throw new Error("a wall costs something");
    const own = { ...taxed({ percent: "20" }), linesSet: { [line.id]: { tax: "none" as const } } };
    const oneFree = priced(own);
    expect(oneFree.taxes.map((each) => each.class)).toEqual(["standard", "none"]);
    expect(Number(oneFree.tax)).toBeLessThan(Number(priced(taxed({ percent: "20" })).tax));
    const extra = { ...newExtra("x", "subcontract", "Heat pump", "900.00"), tax: "none" as const };
    const typed = priced({ ...taxed({ percent: "20" }), extras: [extra] });
    expect(typed.ledger.find(({ id }) => id === "extra/x")?.tax).toBe("none");
    expect(typed.taxes).toHaveLength(2);
  });
});

describe("prices of lines", () => {
  const percent = fc.integer({ min: 0, max: 3000 }).map((hundredths) => (hundredths / 100).toString());
  const arbitrary = fc.record({
    percents: fc.array(percent, { minLength: 5, maxLength: 5 }),
    classes: fc.array(fc.constantFrom(...TAX_CLASSES), { minLength: 6, maxLength: 6 }),
    trade: percent,
    wanted: fc.integer({ min: 100, max: 900_000 }),
  });

  it("add up to the price, classes to it as well, whatever the steps; a typed total is met or is the nearest below", () => {
    fc.assert(
      fc.property(arbitrary, ({ percents: [a = "0", b = "0", c = "0", d = "0", e = "0"], classes, trade, wanted }) => {
        const byKind = Object.fromEntries(COST_KINDS.map((kind, index) => [kind, classes[index]]));
        const total = new Big(wanted).div(100).toFixed(2);
        const pricing: Pricing = {
          ...taxed({ percent: a, reducedPercent: b, byKind: byKind as Pricing["tax"]["byKind"] }),
          overhead: { percent: c, on: "cost" },
          profit: { percent: d, on: "before" },
          discountPercent: e,
          markupByTrade: [{ trade: "framing", percent: trade }],
          adjust: wanted % 2 === 0 ? { of: "total", amount: total, over: ["labour"] } : null,
        };
        const up = priced(pricing);
        const prices = linePrices(up.ledger, pricing, up.priceBeforeTax, up.adjusted);
        expect(sumMoney(prices)).toBe(up.priceBeforeTax);
        expect(sumMoney(up.taxes.map(({ base }) => base))).toBe(up.priceBeforeTax);
        expect(sumMoney([up.priceBeforeTax, ...up.taxes.map(({ amount }) => amount)])).toBe(up.total);
        if (!pricing.adjust) return;
        const below = new Big(total).minus(up.total);
        // A cent of price moves the total by a cent and its tax: nothing is nearer.
        // Where the tax alone is more than was typed, the price is nothing.
        if (Number(up.priceBeforeTax) > 0) expect(below.gte(0) && below.lte("0.05")).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe("markup", () => {
  const up = priced(job.pricing);
  const trade = up.ledger.find((line) => line.trade !== "" && Number(line.cost) > 10)?.trade ?? "";
  const inTrade = up.ledger.filter((line) => line.trade === trade);

  it("of a trade stands in the place of its kinds', and of a line in the place of its trade's", () => {
    const [line] = inTrade;
    if (!line) throw new Error("a wall has a trade");
    const marked = priced({
      ...job.pricing,
      markupByTrade: [{ trade, percent: "40" }],
      linesSet: { [line.id]: { markupPercent: "0" } },
    });
    const of = (id: string) => marked.ledger.find((each) => each.id === id)?.markupPercent;
    expect(of(line.id)).toBe("0");
    expect(new Set(inTrade.slice(1).map(({ id }) => of(id)))).toEqual(new Set(["40"]));
    expect(marked.cost).toBe(up.cost);
    // Every line by itself, in exact fractions: no more than half a cent away for each of the groups that are rounded.
    const exact = marked.ledger.reduce(
      (sum, { cost, markupPercent }) => sum.plus(new Big(cost).times(markupPercent).div(100)),
      new Big(0),
    );
    const groups = marked.kinds.reduce((sum, { markups }) => sum + markups.length, 0);
    expect(exact.minus(marked.markup).abs().lte(new Big("0.005").times(groups))).toBe(true);
  });

  it("of a trade that nothing is of is told", () => {
    const { problems } = priced({ ...job.pricing, markupByTrade: [{ trade: "thatching", percent: "5" }] });
    expect(problems.map(({ code }) => code)).toEqual(["idle-markup"]);
  });
});

import { startJob } from "../job";
import { COST_KINDS, type CostKind } from "../ledger";
import { starterCompanySettings } from "../testing/library";
import { percentOf, sumMoney } from "../units";
import { adjustedTo, priceForTotal } from "./adjusted";
import { adjustSchema, type Pricing, riseOf, stepsOf } from "./index";
import { markedCostsOf } from "./kindCosts";

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "metric", currency: "GBP" },
  starterCompanySettings,
);
const none = Object.fromEntries(COST_KINDS.map((kind) => [kind, "0"])) as Pricing["markupPercent"];
const bare: Pricing = {
  ...job.pricing,
  overhead: { percent: "0", on: "cost" },
  markupPercent: none,
  escalation: { months: 0, percentAMonth: none },
};
const marked = (kind: CostKind, cost: string, { markupPercent } = bare) => ({
  kind,
  cost,
  markupPercent: markupPercent[kind],
});
const costs = (material: string, labour: string, pricing = bare) =>
  markedCostsOf([marked("material", material, pricing), marked("labour", labour, pricing)]);
const taxOn = (percent: string) => (price: string) => percentOf(price, percent);

describe("steps from cost to price", () => {
  // Sockets: materials 248.40, labour 682.00; 15 % profit on all is 139.56, which makes 1069.96; less 2.5 % is 26.75 (arithmetic).
  it("profit on all, and a discount for who pays at once", () => {
    const pricing: Pricing = {
      ...bare,
      profit: { percent: "15", on: "before" },
      promptPayment: { percent: "2.5", how: "taken-off" },
    };
    const steps = stepsOf(costs("248.40", "682.00"), pricing);
    expect(steps.profit).toEqual({ percent: "15", base: "930.40", amount: "139.56" });
    expect(steps.promptPayment).toEqual({ percent: "2.5", base: "1069.96", amount: "-26.75" });
    expect(steps.price).toBe("1043.21");
  });

  it("a discount that is allowed for leaves what it was before it: divided by 0.975", () => {
    const allowed = stepsOf(costs("975.00", "0.00"), {
      ...bare,
      promptPayment: { percent: "2.5", how: "allowed-for" },
    });
    expect(allowed.price).toBe("1000.00");
  });

  // 0.4 % a month for seven months, compounded: 2.83 % (arithmetic).
  it("costs rise until the work starts, each kind by its own", () => {
    expect(riseOf("0.4", 7).times(100).toFixed(2)).toBe("2.83");
    const escalation = { months: 7, percentAMonth: { ...none, material: "0.4" } };
    const steps = stepsOf(costs("10000.00", "5000.00"), { ...bare, escalation });
    expect(steps.escalation).toBe("283.38");
    expect(steps.kinds.map(({ kind, escalation: rise }) => [kind, rise])).toEqual(
      expect.arrayContaining([
        ["material", "283.38"],
        ["labour", "0.00"],
      ]),
    );
  });

  it("a step is on the cost or on all before it, and each is rounded to the cent", () => {
    const of = (on: "cost" | "before") =>
      stepsOf(costs("100.05", "0.00"), {
        ...bare,
        overhead: { percent: "10", on: "cost" },
        contingency: { percent: "10", on },
      });
    expect([of("cost").contingency, of("before").contingency]).toEqual([
      { percent: "10", base: "100.05", amount: "10.01" },
      { percent: "10", base: "110.06", amount: "11.01" },
    ]);
  });

  // 20 % of margin needs 25 % of markup; a third needs a half (arithmetic).
  it.each([
    ["25", 20],
    ["50", 100 / 3],
  ])("a markup of %s %% is a margin of %s %%", (percent, margin) => {
    const pricing = { ...bare, markupPercent: { ...none, material: percent } };
    const { price, fullCost } = stepsOf(costs("800.00", "0.00", pricing), pricing);
    expect((100 * (Number(price) - Number(fullCost))) / Number(price)).toBeCloseTo(margin, 2);
  });
});

describe("a typed price", () => {
  const steps = stepsOf(
    markedCostsOf([marked("material", "5000.00"), marked("labour", "2500.00"), marked("plant", "900.00")]),
    bare,
  );
  const over = [...COST_KINDS];

  // 8,400 to 8,250 over 5,000, 2,500 and 900: -89.29, -44.64, -16.07 (arithmetic, largest remainder).
  it("is spread by share, to the cent", () => {
    const { difference, byKind } = adjustedTo(steps, { of: "price", amount: "8250.00", over }, taxOn("20"));
    expect(difference).toBe("-150.00");
    const of = (kind: string) => byKind.find((each) => each.kind === kind)?.difference;
    expect([of("material"), of("labour"), of("plant")]).toEqual(["-89.29", "-44.64", "-16.07"]);
  });

  it("is spread over what was chosen, and over all where none of that costs anything", () => {
    const adjust = { of: "price", amount: "8250.00" } as const;
    expect(adjustedTo(steps, { ...adjust, over: ["labour"] }, taxOn("20")).byKind).toEqual([
      { kind: "labour", before: "2500.00", difference: "-150.00" },
    ]);
    const all = adjustedTo(steps, { ...adjust, over: ["allowance"] }, taxOn("20")).byKind;
    expect(all).toHaveLength(3);
    expect(sumMoney(all.map((each) => each.difference))).toBe("-150.00");
  });

  it("of the margin is what leaves it, and follows the cost: 8,400.00 at 20 % is 10,500.00", () => {
    const { before, difference } = adjustedTo(steps, { of: "margin", amount: "20.00", over }, taxOn("20"));
    expect([before, difference]).toEqual(["8400.00", "2100.00"]);
  });

  it("of a margin of all there is is refused", () => {
    const margin = (amount: string) => adjustSchema.safeParse({ of: "margin", amount, over }).success;
    expect(["99.99", "100.00", "250.00"].map(margin)).toEqual([true, false, false]);
    expect(adjustSchema.safeParse({ of: "total", amount: "250.00", over }).success).toBe(true);
  });

  it("of the total is the price that makes it with its tax: 1,200.00 at 20 % is 1,000.00; the nearest below where none does", () => {
    expect(priceForTotal("1200.00", taxOn("20"))).toBe("1000.00");
    // 0.83 and its tax are 1.00, 0.84 and its tax 1.01; at 25 % no price makes 0.03: 0.02 makes 0.03 (half a cent rounds up).
    expect(priceForTotal("1.00", taxOn("20"))).toBe("0.83");
    expect(priceForTotal("0.03", taxOn("25"))).toBe("0.02");
    expect(priceForTotal("0.02", taxOn("100"))).toBe("0.01");
    expect(priceForTotal("0.03", taxOn("100"))).toBe("0.01");
  });
});

import fc from "fast-check";
import { library, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, lessMoney, sumMoney } from "../units";
import { CAUSES, type Cause, compareEstimates, type Estimate, reckonJob, startJob } from "./index";

const start = { title: "T", customerName: "C", site: "S", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const wall = (lengthFt: number) => ({
  ...wallOf("imperial", { lengthNm: feet(lengthFt), heightNm: inches(97.125) }),
  id: "w",
});
const base: Estimate = { job, parts: [wall(16)], priceList: starterPriceList, library };

/** One cause changed at a time. */
const CHANGES: Readonly<Record<Cause, (of: Estimate, by: number) => Estimate>> = {
  dimension: (of, by) => ({ ...of, parts: [wall(16 + by)] }),
  rule: (of, by) => ({
    ...of,
    job: { ...of.job, swaps: by === 0 ? [] : [{ from: "timber/2x4", to: "timber/2x4/fir-larch", partId: null }] },
  }),
  price: (of, by) => ({ ...of, job: { ...of.job, pricing: { ...of.job.pricing, ratePerHour: String(46 + by) } } }),
  productivity: (of, by) => ({
    ...of,
    job: {
      ...of.job,
      pricing: {
        ...of.job.pricing,
        tasks: of.job.pricing.tasks.map((task) =>
          task.id === "studs" ? { ...task, hoursPerUnit: (0.14 + by / 50).toFixed(2) } : task,
        ),
      },
    },
  }),
  markup: (of, by) => ({
    ...of,
    job: {
      ...of.job,
      pricing: { ...of.job.pricing, markupPercent: { ...of.job.pricing.markupPercent, labour: String(25 + by) } },
    },
  }),
};
const totalOf = ({ job: each, parts, priceList, library: rules }: Estimate) =>
  reckonJob(each, parts, priceList, rules).buildUp.total;

describe("two estimates", () => {
  it.each(CAUSES)("that differ by %s alone differ by that and nothing else", (cause) => {
    const other = CHANGES[cause](base, 7);
    const { from, to, difference, causes } = compareEstimates(base, other);
    expect([from, to]).toEqual([totalOf(base), totalOf(other)]);
    expect(difference).toBe(lessMoney(to, from));
    expect(Number(difference)).not.toBe(0);
    for (const each of causes) {
      const own = each.cause === cause ? difference : "0.00";
      expect([each.amount, each.least, each.most]).toEqual([own, own, own]);
    }
  });

  it("that differ by several: causes add up to the difference to the cent, each between its least and its most", () => {
    const by = fc.record({
      dimension: fc.nat(8),
      rule: fc.nat(1),
      price: fc.nat(30),
      productivity: fc.nat(9),
      markup: fc.nat(20),
    });
    fc.assert(
      fc.property(by, (changes) => {
        const other = CAUSES.reduce((each, cause) => CHANGES[cause](each, changes[cause]), base);
        const { from, to, difference, causes } = compareEstimates(base, other);
        expect(to).toBe(totalOf(other));
        expect(sumMoney(causes.map(({ amount }) => amount))).toBe(lessMoney(to, from));
        expect(difference).toBe(lessMoney(to, from));
        for (const { amount, least, most } of causes) {
          expect(Number(least)).toBeLessThanOrEqual(Number(amount));
          expect(Number(amount)).toBeLessThanOrEqual(Number(most));
        }
      }),
      { numRuns: 12, endOnFailure: true },
    );
  });

  it("by the pace of a house standard: productivity, whatever its rules", () => {
    const standard = {
      schemaVersion: 2 as const,
      id: "s",
      version: 1,
      name: "S",
      system: "imperial" as const,
      parameters: [],
      waste: [],
      tables: [],
    };
    const slow = {
      ...base,
      library: { ...library, standard: { ...standard, productivity: [{ task: "", percent: 150 }] } },
    };
    const { difference, causes } = compareEstimates(base, slow);
    expect(Number(difference)).toBeGreaterThan(0);
    expect(causes.filter(({ amount }) => amount !== "0.00").map(({ cause }) => cause)).toEqual(["productivity"]);
  });

  it("backwards differ by as much the other way", () => {
    const other = CHANGES.markup(CHANGES.dimension(base, 4), 5);
    const there = compareEstimates(base, other);
    const back = compareEstimates(other, base);
    expect(sumMoney([there.difference, back.difference])).toBe("0.00");
    expect(back.kinds.map(({ from, to }) => [to, from])).toEqual(there.kinds.map(({ from, to }) => [from, to]));
  });
});

import { LEDGER_KEYS } from "../ledger";
import { library, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, sumMoney } from "../units";
import { reckonJob, sideBySide, startJob } from "./index";

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const wall = (id: string, lengthFt: number) => ({
  ...wallOf("imperial", { lengthNm: feet(lengthFt), heightNm: inches(97.125) }),
  id,
  name: id,
});
const up = (...lengths: readonly number[]) =>
  reckonJob(
    job,
    lengths.map((each, index) => wall(`w${index}`, each)),
    starterPriceList,
    library,
  ).buildUp;

describe("estimates side by side", () => {
  const estimates = [up(12), up(12, 20), up(), up(40)];
  const ledgers = estimates.map(({ ledger }) => ledger);

  it.each(LEDGER_KEYS)("by %s add up to the cost of each, and differ from the first by what they differ", (key) => {
    const rows = sideBySide(ledgers, key);
    for (const [index, { cost }] of estimates.entries()) {
      expect(sumMoney(rows.map(({ costs }) => costs[index] ?? "0.00"))).toBe(cost);
      for (const { costs, differences } of rows)
        expect(sumMoney([costs[0] ?? "0.00", differences[index] ?? "0.00"])).toBe(costs[index]);
    }
    expect(new Set(rows.map(({ value }) => value)).size).toBe(rows.length);
  });

  it("of none, or of nothing, are no rows", () => {
    expect(sideBySide([], "kind")).toEqual([]);
    expect(sideBySide([up().ledger], "kind")).toEqual([]);
  });
});

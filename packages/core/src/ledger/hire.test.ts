import type { PartCount } from "../count";
import { startJob } from "../job";
import { type Hire, orderJob, plainHire } from "../order";
import { starterCompanySettings } from "../testing/library";
import { itemOf, lineOf } from "../testing/lines";
import { sumMoney } from "../units";
import { isOwn, makeLedger } from "./index";

const start = { title: "T", customerName: "C", site: "", system: "metric", currency: "GBP" } as const;
const costing = startJob(start, starterCompanySettings).pricing;
const hired = (days: readonly number[], terms: Partial<Hire>) => {
  const counts = days.map((quantity, index): PartCount => {
    const partId = `p${index}`;
    const line = {
      ...lineOf({ itemCode: "digger", buying: "whole", unit: "day", quantity }),
      partId,
      id: `${partId}/dig`,
    };
    const made = { lines: [line], scope: [], pieces: [], compared: [], problems: [], openPoints: [] };
    return { partId, partName: partId, waits: false, drawing: { kind: "none" }, ...made };
  });
  const item = itemOf("digger", { by: "each", price: "120.00" }, { kind: "plant", hire: { ...plainHire, ...terms } });
  const order = orderJob(
    counts.flatMap(({ lines }) => lines),
    [item],
    "metric",
  );
  const ledger = makeLedger({ counts, order, priceList: [item], costing, system: "metric" });
  return { order, ledger, cost: sumMoney(ledger.map(({ cost }) => cost)) };
};

// 0.6 and 0.9 of a day are two days; brought and fetched once for 90.00; fuel 14.00 a day: 240 + 90 + 28 = 358.00 (arithmetic).
it("a hire is charged in whole days over the job, brought once, with its fuel, all shared by those who need it", () => {
  const { order, ledger, cost } = hired([0.6, 0.9], { delivery: "45", collection: "45", fuel: "14" });
  expect(order.lines.map(({ description, quantity, unitPrice }) => [description, quantity, unitPrice])).toEqual([
    ["digger", 2, "120.00"],
    ["Delivery and collection: digger", 1, "90"],
    ["Fuel: digger", 2, "14"],
  ]);
  expect(cost).toBe("358.00");
  expect(ledger.filter(isOwn).map(({ cost: own }) => own)).toEqual(["72.00", "108.00"]);
  const shared = ledger.filter((line) => !isOwn(line));
  expect(shared.map(({ kind, cost: each }) => [kind, each])).toEqual([
    ["plant", "60.00"],
    ["plant", "90.00"],
    ["plant", "28.00"],
  ]);
  for (const { cost: each, shares } of shared) expect(sumMoney(shares.map((share) => share.cost))).toBe(each);
});

it("no fewer days are charged than the least, which is said; what nobody needs is not hired", () => {
  const { order, cost } = hired([0.5], { least: 3 });
  expect(order.lines).toMatchObject([{ quantity: 3, note: expect.stringContaining("3 at least are charged") }]);
  expect(cost).toBe("360.00");
  expect(hired([], { least: 3, delivery: "50" }).order.lines).toEqual([]);
  expect(hired([0], { least: 3, delivery: "50" }).cost).toBe("0.00");
});

// Half a day is one day of work where three are charged: 3 x 120.00 and fuel for one, 14.00 (arithmetic).
it("fuel is for the days that are worked, not for the least that is charged", () => {
  const { order, cost } = hired([0.5], { least: 3, fuel: "14" });
  expect(order.lines.map(({ quantity }) => quantity)).toEqual([3, 1]);
  expect(cost).toBe("374.00");
});

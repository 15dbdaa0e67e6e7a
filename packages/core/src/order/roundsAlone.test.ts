import { countJob } from "../count";
import { buildUpJob } from "../price";
import { slabOf } from "../testing/ground";
import { library, starterCompanySettings, starterPriceList } from "../testing/library";
import { sumMoney } from "../units";
import { orderJob } from "./index";

const BARE = { fill: 0, blinding: 0, membrane: false, meshLayers: 0, concreteWaste: 0 };

/** A slab so long and 2 m wide, half a metre thick, its top at the ground: a cubic metre of it for each metre. */
const slab = (id: string, metres: number, choices = {}) => ({
  ...slabOf(
    "metric",
    { "edges.a.length": `${metres} m`, "edges.b.length": "2 m", thickness: "500 mm", top: "0" },
    { choices: { ...BARE, ...choices } },
  ),
  id,
  name: id,
});

function reckoned(parts: readonly ReturnType<typeof slab>[]) {
  const counts = countJob(parts, "metric", library);
  const lines = counts.flatMap((count) => count.lines);
  const order = orderJob(lines, starterPriceList, "metric");
  const buildUp = buildUpJob({
    counts,
    order,
    priceList: starterPriceList,
    pricing: starterCompanySettings.pricing,
    productivity: () => 100,
    system: "metric",
  });
  const bought = (code: string, charge?: string) =>
    order.lines.filter((line) => line.itemCode === code && line.charge === charge);
  return {
    order,
    buildUp,
    bought,
    quantity: (code: string) => bought(code).reduce((sum, { quantity }) => sum + quantity, 0),
  };
}

describe("skips, loads and hired days over a job", () => {
  it("two parts share a skip: 4 m³ each, loose 5, are ten in two skips of 6.1, not one for each and a half (arithmetic)", () => {
    expect(reckoned([slab("a", 2), slab("b", 2)]).quantity("spoil/skip-8/metric")).toBe(1);
    expect(reckoned([slab("a", 4), slab("b", 4)]).quantity("spoil/skip-8/metric")).toBe(2);
  });

  it("a part that is rounded up alone has its own, with its own delivery; the others share as before", () => {
    const alone = reckoned([slab("a", 2), slab("b", 2, { rounding: "alone" })]);
    expect(alone.quantity("spoil/skip-8/metric")).toBe(2);
    expect(alone.bought("spoil/skip-8/metric").map(({ alone: part }) => part)).toEqual([undefined, "b"]);
    expect(alone.bought("plant/digger-day/metric", "delivery")).toHaveLength(2);
    expect(reckoned([slab("a", 2), slab("b", 2)]).bought("plant/digger-day/metric", "delivery")).toHaveLength(1);
  });

  it("two parts share a part load: 3 m³ each are a full truck of 6, alone each is a metre short of 4 (arithmetic)", () => {
    const together = reckoned([slab("a", 3), slab("b", 3)]);
    expect(together.bought("concrete/c25-30", "part-load")).toEqual([]);
    const apart = reckoned([slab("a", 3, { rounding: "alone" }), slab("b", 3, { rounding: "alone" })]);
    // Four steps of a quarter short, at 9.00 each.
    expect(apart.bought("concrete/c25-30", "part-load").map(({ unitPrice }) => unitPrice)).toEqual(["36", "36"]);
  });

  it("add up in the ledger to what is ordered, whichever way; each part bears its own rounding", () => {
    for (const choices of [{}, { rounding: "alone" }]) {
      const { order, buildUp } = reckoned([slab("a", 2.3, choices), slab("b", 3.1), slab("c", 1.7, choices)]);
      const ordered = order.lines.reduce((sum, { unitPrice, quantity }) => sum + Number(unitPrice ?? 0) * quantity, 0);
      const costs = buildUp.ledger.filter(({ kind }) => kind === "material" || kind === "plant");
      expect(Number(sumMoney(costs.map(({ cost }) => cost)))).toBeCloseTo(ordered, 1);
      for (const line of buildUp.ledger)
        expect(Number(sumMoney(line.shares.map(({ cost }) => cost)))).toBeCloseTo(Number(line.cost), 6);
    }
    const { buildUp } = reckoned([slab("a", 2), slab("b", 2, { rounding: "alone" })]);
    const rest = buildUp.ledger.find(({ id }) => id === "rest/spoil/skip-8/metric/alone/b");
    expect(rest?.shares.map(({ partId }) => partId)).toEqual(["b"]);
  });

  it("says how many loads there are, and for whom alone", () => {
    const { order } = reckoned([slab("a", 7), slab("b", 2, { rounding: "alone" })]);
    const notes = order.lines.filter(({ itemCode }) => itemCode === "concrete/c25-30").map(({ note }) => note);
    expect(notes[0]).toContain("2 loads of");
    expect(notes.join(" ")).toContain("for b alone");
  });
});

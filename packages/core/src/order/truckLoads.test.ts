import fc from "fast-check";
import type { Loads } from "./priceItem";
import { loadsWords, truckLoads } from "./truckLoads";

const TRUCK: Loads = { most: 12, least: 8, shortLoad: "0", eachShort: "10" };

/** The least that any sharing over any number of trucks costs, tried one by one. */
function leastByTrying(steps: number, { most, least, shortLoad, eachShort }: Loads, price: number): number {
  const trucks = Math.ceil(steps / most);
  const chargeOf = (load: number) => (load >= least ? 0 : Number(shortLoad) + Number(eachShort) * (least - load));
  const best = (left: number, of: number): number => {
    if (of === 0) return left === 0 ? 0 : Number.POSITIVE_INFINITY;
    let found = Number.POSITIVE_INFINITY;
    for (let load = 1; load <= Math.min(most, left); load += 1)
      found = Math.min(found, chargeOf(load) + best(left - load, of - 1));
    return found;
  };
  let found = Number.POSITIVE_INFINITY;
  // More than is needed may be bought, where that is cheaper than a short load.
  for (let bought = steps; bought <= trucks * most; bought += 1)
    found = Math.min(found, bought * price + best(bought, trucks));
  return found;
}

const costOf = (steps: number, loads: Loads, price: number): number => {
  const { bought, charge } = truckLoads(steps, loads, String(price));
  return bought * price + Number(charge);
};

describe("loads over trucks of 12 that cost nothing more from 8", () => {
  it("none is short where they can be shared so: 18 are 9 and 9, not 12 and 6 (arithmetic)", () => {
    const { loads, charge } = truckLoads(18, TRUCK, "100");
    expect([loads, charge.toString()]).toEqual([[9, 9], "0"]);
  });

  it("13 are 8 and 5, three short; filled in turn they would be 12 and 1, seven short (arithmetic)", () => {
    const { loads, charge, bought } = truckLoads(13, TRUCK, "100");
    expect([loads, charge.toString(), bought]).toEqual([[8, 5], "30", 13]);
  });

  it("one is filled up where that costs less than the charge", () => {
    const { loads, charge, bought } = truckLoads(13, TRUCK, "6");
    expect([loads, charge.toString(), bought]).toEqual([[8, 8], "0", 16]);
  });

  it("of nothing are none; without a price the charge stands", () => {
    expect(truckLoads(0, TRUCK, "6").loads).toEqual([]);
    expect(truckLoads(3, TRUCK, null).charge.toString()).toBe("50");
    expect(loadsWords(truckLoads(13, TRUCK, "100"), "m³")).toBe("2 loads of 8 and 5 × m³");
    expect(loadsWords(truckLoads(3, TRUCK, "100"), "m³")).toBe("1 load");
  });
});

const anyLoads = fc
  .record({
    most: fc.integer({ min: 1, max: 7 }),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
    shortLoad: fc.integer({ min: 0, max: 60 }),
    eachShort: fc.integer({ min: 0, max: 30 }),
  })
  .map(({ most, share, shortLoad, eachShort }): Loads => {
    return { most, least: Math.floor(most * share), shortLoad: String(shortLoad), eachShort: String(eachShort) };
  });

describe("whatever trucks there are", () => {
  it("no sharing that anybody tries costs less", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 16 }), anyLoads, fc.integer({ min: 1, max: 20 }), (steps, loads, price) => {
        expect(costOf(steps, loads, price)).toBeCloseTo(leastByTrying(steps, loads, price), 6);
      }),
      { numRuns: 200, seed: 13 },
    );
  });

  it("together never costs more than apart, also where adding up first spares a step", () => {
    const case_ = fc.tuple(
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 0, max: 1 }),
      anyLoads,
      fc.integer({ min: 1, max: 20 }),
    );
    fc.assert(
      fc.property(case_, ([a, b, spared, loads, price]) => {
        const together = costOf(Math.max(1, a + b - spared), loads, price);
        expect(together).toBeLessThanOrEqual(costOf(a, loads, price) + costOf(b, loads, price) + 1e-9);
      }),
      { numRuns: 1000, seed: 13 },
    );
  });
});

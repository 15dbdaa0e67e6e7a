import Big from "big.js";
import fc from "fast-check";
import {
  allocateMoney,
  areaOf,
  boardFeet,
  feet,
  formatLiquid,
  formatMoney,
  inches,
  millimetres,
  percentOf,
  piecesAtSpacing,
  priceTimes,
  spacesIn,
  sumMoney,
  toMoney,
  toSquareFeet,
  wholePacks,
} from "./index";

describe("counting along a length", () => {
  // Arithmetic: pieces at a spacing with one at each end.
  it.each([
    [feet(12), inches(16), 10],
    [feet(20), inches(16), 16],
    [feet(24), inches(24), 13],
  ])("%d nm at %d nm is %d pieces", (lengthNm, spacingNm, pieces) => {
    expect(piecesAtSpacing(lengthNm, spacingNm)).toBe(pieces);
  });

  it("counts n spacings as n, and a hair more as n + 1, for every spacing in use", () => {
    const spacings = [12, 16, 19.2, 24].map(inches).concat([300, 400, 450, 600].map(millimetres));
    for (const spacingNm of spacings) {
      for (let n = 1; n <= 1000; n += 1) {
        expect(spacesIn(n * spacingNm, spacingNm)).toBe(n);
        expect(spacesIn(n * spacingNm + 1, spacingNm)).toBe(n + 1);
        expect(spacesIn(n * spacingNm - 1, spacingNm)).toBe(n);
      }
    }
  });

  it("agrees with whole-number arithmetic on any length to 200 m", () => {
    const lengths = fc.integer({ min: 0, max: 200_000_000_000 });
    const spacings = fc.integer({ min: 100_000_000, max: 1_300_000_000 });
    fc.assert(
      fc.property(lengths, spacings, (lengthNm, spacingNm) => {
        const exact = (BigInt(lengthNm) + BigInt(spacingNm) - 1n) / BigInt(spacingNm);
        expect(BigInt(spacesIn(lengthNm, spacingNm))).toBe(exact);
      }),
    );
  });

  it("says what it was given when that is no length", () => {
    expect(() => spacesIn(1.5, 10)).toThrow("spacesIn: needs whole nanometres");
  });

  it("rounds packs up, but not for a rounding hair", () => {
    expect(wholePacks(792, 32)).toBe(25); // 24.75 sheets of 4 x 8 ft: arithmetic
    expect(wholePacks(0.1 + 0.2, 0.3)).toBe(1);
    expect(wholePacks(3.01, 1)).toBe(4);
  });
});

describe("areas and volumes of timber", () => {
  it("has 153.75 sq ft in a room of 13 ft 8 in by 11 ft 3 in (arithmetic)", () => {
    expect(toSquareFeet(areaOf(inches(164), inches(135)))).toBeCloseTo(153.75, 9);
  });

  // Board feet by nominal size: American Softwood Lumber Standard PS 20; values by arithmetic.
  it("has 9 1/3 board feet in a 2x4 of 14 ft and 12 in a 2x6 of 12 ft", () => {
    expect(boardFeet(2, 4, feet(14))).toBeCloseTo(28 / 3, 12);
    expect(boardFeet(2, 6, feet(12))).toBe(12);
  });
});

describe("money", () => {
  // Arithmetic from the trade's worked prices.
  it("prices 46 pieces at 2.35 as 108.10 and 180 m at 0.72 as 129.60", () => {
    expect(priceTimes("2.35", 46)).toBe("108.10");
    expect(priceTimes("0.72", 180)).toBe("129.60");
  });

  it("prices five door sets at 259.74 each as 1298.70", () => {
    const set = sumMoney(["118.40", "64.25", priceTimes("6.15", 3), priceTimes("1.08", 33), priceTimes("46", "0.5")]);
    expect(set).toBe("259.74");
    expect(priceTimes(set, 5)).toBe("1298.70");
  });

  it("rounds half away from zero at the line", () => {
    expect(toMoney(new Big("1.005"))).toBe("1.01");
    expect(toMoney(new Big("-1.005"))).toBe("-1.01");
    expect(percentOf("0.10", "5")).toBe("0.01");
  });

  it("shares a total so that the shares add up to it", () => {
    expect(allocateMoney("100.00", [1, 1, 1])).toEqual(["33.34", "33.33", "33.33"]);
    expect(allocateMoney("-1.00", [1, 1, 1])).toEqual(["-0.34", "-0.33", "-0.33"]);
    expect(allocateMoney("9.99", [0, 0])).toEqual(["9.99", "0.00"]);
    expect(sumMoney(allocateMoney("1.77", [1.5e-323, 7.4e-323, 1e-323]))).toBe("1.77");
    const weights = fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e9 }), weights, (cents, shares) => {
        const total = toMoney(new Big(cents).div(100));
        expect(sumMoney(allocateMoney(total, shares))).toBe(total);
      }),
    );
  });

  it("writes money in the job's currency", () => {
    expect(formatMoney("1298.70", "USD")).toBe("$1,298.70");
    expect(formatMoney("-12.00", "GBP")).toBe("−£12.00");
    expect(formatMoney("0.50", "EUR")).toBe("€0.50");
  });
});

describe("liquids", () => {
  // A US gallon is 231 cubic inches: NIST Handbook 44, appendix C.
  it("are said in US gallons and in litres", () => {
    expect(formatLiquid(231 * 0.0254 ** 3, "imperial")).toBe("1 US gal");
    expect(formatLiquid(4.5 * 231 * 0.0254 ** 3, "imperial")).toBe("4.5 US gal");
    expect(formatLiquid(0.017, "metric")).toBe("17 L");
    expect(formatLiquid(0, "metric")).toBe("0 L");
  });
});

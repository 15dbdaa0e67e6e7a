import Big from "big.js";
import fc from "fast-check";
import { allocateMoney, centsOf, formatChange, lessMoney, moneyOfCents, sumMoney, toMoney } from "./money";

/** Exact fractions in the place of amounts: so many cents. */
const cents = fc.bigInt({ min: -(10n ** 20n), max: 10n ** 20n });

describe("amounts", () => {
  it("round half away from zero: 2.675 is 2.68", () => {
    expect([toMoney(new Big("2.675")), toMoney(new Big("-2.675")), toMoney(new Big("1.005"))]).toEqual([
      "2.68",
      "-2.68",
      "1.01",
    ]);
  });

  it("are whole cents and back, whatever their size", () => {
    expect([moneyOfCents(-5n), moneyOfCents(0n), moneyOfCents(120n)]).toEqual(["-0.05", "0.00", "1.20"]);
    fc.assert(fc.property(cents, (amount) => expect(centsOf(moneyOfCents(amount))).toBe(amount)));
  });

  it("add up exactly, small and beyond what plain numbers hold", () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(cents, fc.bigInt({ min: -99999n, max: 99999n })), { maxLength: 40 }), (amounts) => {
        const sum = amounts.reduce((a, b) => a + b, 0n);
        expect(sumMoney(amounts.map(moneyOfCents))).toBe(moneyOfCents(sum));
        const first = amounts[0] ?? 0n;
        expect(lessMoney(moneyOfCents(sum), moneyOfCents(first))).toBe(moneyOfCents(sum - first));
      }),
      { endOnFailure: true },
    );
  });

  it("shared by any weights add up to the cent, each within a cent of its share where cents are fine enough", () => {
    const weights = fc.array(fc.oneof(fc.constant(0), fc.double({ min: 0, max: 1e9, noNaN: true })), {
      minLength: 1,
      maxLength: 30,
    });
    fc.assert(
      fc.property(cents, weights, (amount, by) => {
        const shares = allocateMoney(moneyOfCents(amount), by);
        expect(sumMoney(shares)).toBe(moneyOfCents(amount));
        const sum = by.reduce((a, b) => a + b, 0);
        if (sum <= 0 || amount < -1_000_000n || amount > 1_000_000n) return;
        shares.forEach((share, index) => {
          expect(Math.abs(Number(centsOf(share)) - (Number(amount) * (by[index] ?? 0)) / sum)).toBeLessThan(1.0001);
        });
      }),
      { endOnFailure: true },
    );
  });

  // 150.00 over 5,000, 2,500 and 900 by the largest remainder (arithmetic).
  it("left over go to the largest remainders", () => {
    expect(allocateMoney("-150.00", [5000, 2500, 900])).toEqual(["-89.29", "-44.64", "-16.07"]);
    expect(allocateMoney("1.00", [1, 1, 1])).toEqual(["0.34", "0.33", "0.33"]);
    expect(allocateMoney("1.00", [0, 0])).toEqual(["1.00", "0.00"]);
    expect(allocateMoney("1.00", [])).toEqual([]);
  });
});

it.each([
  ["1.20", "+$1.20"],
  ["-1.20", "−$1.20"],
  ["0.00", "$0.00"],
])("a change of %s is said %s", (amount, said) => expect(formatChange(amount, "USD")).toBe(said));

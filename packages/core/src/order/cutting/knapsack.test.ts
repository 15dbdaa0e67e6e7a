import fc from "fast-check";
import { cutProblem } from "./cutProblem";
import { inSteps, Knapsack } from "./knapsack";

const NO_LOSS = { kerfNm: 0, endTrimNm: 0 };
type Item = { readonly size: number; readonly count: number; readonly value: number };

function solved(items: readonly Item[], bars: readonly number[]) {
  const demands = items.map(({ size, count }) => ({ lengthNm: size, count }));
  const problem = cutProblem(
    demands,
    bars.map((lengthNm) => ({ lengthNm, cost: lengthNm })),
    NO_LOSS,
  );
  const knapsack = new Knapsack(
    inSteps(problem),
    items.map(({ count }) => count),
  );
  knapsack.solve(Float64Array.from(items, ({ value }) => value));
  return knapsack;
}

/** Every way to fill a bar, tried. */
const mostWorth = (items: readonly Item[], room: number): number => {
  const [first, ...rest] = items;
  if (!first) return 0;
  const most = Math.min(first.count, Math.floor(room / first.size));
  const ways = Array.from(
    { length: most + 1 },
    (_, times) => times * first.value + mostWorth(rest, room - times * first.size),
  );
  return Math.max(...ways);
};

describe("the most a bar can give", () => {
  it("is what trying every way finds, and its pattern is worth that and fits", () => {
    const item = fc.record({
      size: fc.integer({ min: 1, max: 9 }),
      count: fc.integer({ min: 1, max: 4 }),
      value: fc.integer({ min: 0, max: 12 }),
    });
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 5 }), fc.integer({ min: 1, max: 25 }), (items, room) => {
        const knapsack = solved(items, [room]);
        expect(knapsack.worthOf(0)).toBeCloseTo(mostWorth(items, room), 9);
        const pattern = knapsack.pattern(0);
        const sum = (of: (each: Item) => number) =>
          pattern.reduce(
            (total, [index, times]) => total + times * of(items[index] ?? { size: 0, count: 0, value: 0 }),
            0,
          );
        expect(sum(({ value }) => value)).toBeCloseTo(mostWorth(items, room), 9);
        expect(sum(({ size }) => size)).toBeLessThanOrEqual(room);
        for (const [index, times] of pattern) expect(times).toBeLessThanOrEqual(items[index]?.count ?? 0);
      }),
    );
  });

  it("by hand: of 10, twice 4 worth 7 beat 6 and 4 worth 13; only one 4 there, it is the other way", () => {
    const both = (count: number) =>
      solved(
        [
          { size: 6, count: 1, value: 6 },
          { size: 4, count, value: 7 },
        ],
        [8, 10],
      );
    expect([both(2).worthOf(0), both(2).worthOf(1)]).toEqual([14, 14]);
    expect([both(1).worthOf(0), both(1).worthOf(1)]).toEqual([7, 13]);
    expect(both(1).pattern(1)).toEqual([
      [1, 1],
      [0, 1],
    ]);
  });

  it("of lengths too fine for the search takes coarser steps, in which no less fits", () => {
    const demands = [
      { lengthNm: 1_000_003, count: 9 },
      { lengthNm: 700_001, count: 9 },
    ];
    const steps = inSteps(cutProblem(demands, [{ lengthNm: 9_999_991, cost: 1 }], NO_LOSS));
    expect(steps.exact).toBe(false);
    const [bar = 0, long = 0, short = 0] = [steps.holds[0], steps.sizes[0], steps.sizes[1]];
    expect(bar).toBeLessThanOrEqual(6144);
    expect(Math.floor(bar / long)).toBeGreaterThanOrEqual(Math.floor(9_999_991 / 1_000_003));
    expect(Math.floor(bar / short)).toBeGreaterThanOrEqual(Math.floor(9_999_991 / 700_001));
    // Inches over inches are exact: 96 and 192 have 48 in common with 144.
    expect(
      inSteps(
        cutProblem(
          [{ lengthNm: 144, count: 1 }],
          [
            { lengthNm: 96, cost: 1 },
            { lengthNm: 192, cost: 2 },
          ],
          NO_LOSS,
        ),
      ),
    ).toMatchObject({
      exact: true,
      most: 4,
    });
  });
});

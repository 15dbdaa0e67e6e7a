import fc from "fast-check";
import { countAndOrder } from "../job";
import type { StudWall } from "../kinds";
import { usualCutting } from "../order/records";
import { library, starterPriceList, wallOf } from "../testing/library";
import { feet, inches } from "../units";
import { countPart } from "./countPart";
import { JobSheets } from "./jobSheets";

const job = {
  system: "imperial" as const,
  cutting: usualCutting,
  optionsTaken: [],
  lineChanges: {},
  swaps: [],
  supplies: [],
};
/** Boarded on both faces with one layer of 4 by 8 ft. */
const partition = (id: string, lengthNm = feet(13), heightNm = feet(8)): StudWall => ({
  ...wallOf("imperial", { lengthNm, heightNm, assemblyId: "partition", choices: { boardsNear: 1, boardsFar: 1 } }),
  id,
  name: id,
});
const reckoned = (walls: readonly StudWall[], sheets?: JobSheets) =>
  countAndOrder(job, walls, starterPriceList, library, sheets ? { sheets } : {});
const boards = (walls: readonly StudWall[]) => {
  const { counts, order } = reckoned(walls);
  const lines = counts.flatMap((count) => count.lines.filter((line) => line.rule === "boards"));
  return {
    lines,
    shares: lines.reduce((sum, line) => sum + (line.ordered ?? line.quantity), 0),
    bought: order.lines.find((line) => line.itemCode.startsWith("sheet/board")),
  };
};

describe("sheets nested over the job", () => {
  it("eight 13 ft partitions take 52 boards, not 64: four strips of a foot come out of one (arithmetic)", () => {
    // Each face three whole boards and a strip of a foot: 16 faces are 48 boards and 16 strips.
    const walls = Array.from({ length: 8 }, (_, index) => partition(`w${index}`));
    const alone = walls.map((wall) =>
      countPart(wall, "imperial", library).lines.find((line) => line.rule === "boards"),
    );
    expect(alone.reduce((sum, line) => sum + (line?.quantity ?? 0), 0)).toBe(64);
    const { lines, shares, bought } = boards(walls);
    expect(shares).toBe(52);
    // Each wall still says what is hung on it, and labour is reckoned on that.
    expect(lines.map((line) => [line.quantity, line.ordered])).toEqual(Array.from({ length: 8 }, () => [8, 6.5]));
    expect(lines[0]?.working.steps.at(-1)).toEqual({
      label: "its share of the 52 ordered for the whole job instead of 64",
      value: "6.5",
    });
    expect(bought?.note).toMatch(/^64 .*12 spared by cutting over the whole job/);
    const [wasted = 0] = [bought?.waste.match(/^(\d+) %/)?.[1] ?? 0].map(Number);
    expect(bought?.quantity).toBe(Math.ceil(52 * (1 + wasted / 100) - 1e-9));
  });

  it("walls that leave no strips are as they are, and so is what somebody set by hand", () => {
    const even = partition("even", feet(12));
    expect(boards([even, { ...even, id: "other" }]).lines.map((line) => line.ordered)).toEqual([undefined, undefined]);
    const byHand = { ...partition("hand"), handSet: [{ line: "boards", quantity: 9, reason: "Stock in the yard" }] };
    const { lines } = boards([byHand, partition("a"), partition("b")]);
    expect([lines[0]?.quantity, lines[0]?.ordered]).toEqual([9, undefined]);
    expect([lines[1]?.quantity, lines[1]?.ordered]).toEqual([8, 6.5]);
  });

  it("adds up to no more than part by part, to a whole number, whatever the walls and how often they are built", () => {
    const wall = fc.record({
      length: fc.integer({ min: 30, max: 300 }),
      height: fc.integer({ min: 84, max: 120 }),
      repeats: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(fc.array(wall, { minLength: 1, maxLength: 6 }), (given) => {
        const walls = given.map(({ length, height, repeats }, index) => ({
          ...partition(`w${index}`, inches(length), inches(height)),
          repeats,
        }));
        const alone = walls.flatMap((each) =>
          countPart(each, "imperial", library).lines.filter((line) => line.rule === "boards"),
        );
        const { shares } = boards(walls);
        expect(shares).toBeLessThanOrEqual(alone.reduce((sum, line) => sum + line.quantity, 0) + 1e-9);
        expect(Math.abs(shares - Math.round(shares))).toBeLessThan(1e-6);
        // No fewer than cover the walls.
        const needM2 = walls.reduce(
          (sum, each) =>
            sum + 2 * each.repeats * ((each.length.valueNm ?? 0) / 1e9) * ((each.height.valueNm ?? 0) / 1e9),
          0,
        );
        expect(shares * 32 * 0.09290304).toBeGreaterThanOrEqual(needM2 - 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it("is remembered: what did not change is the same object, and what changed equals a count from nothing", () => {
    const sheets = new JobSheets();
    const walls = Array.from({ length: 4 }, (_, index) => partition(`w${index}`));
    const alone = walls.map((wall) => countPart(wall, "imperial", library));
    const first = sheets.apply(alone);
    expect(sheets.apply(alone).every((count, index) => count === first[index])).toBe(true);
    const longer = countPart(partition("w0", feet(14)), "imperial", library);
    const changed = sheets.apply([longer, ...alone.slice(1)]);
    const fresh = new JobSheets().apply([longer, ...alone.slice(1)]);
    const said = (counts: typeof fresh) =>
      counts.flatMap((count) => count.lines.map((line) => [line.id, line.quantity, line.ordered]));
    expect(said(changed)).toEqual(said(fresh));
    // Half as many: each has the same share, of another total.
    const steps = (counts: typeof fresh) =>
      counts.flatMap((count) => count.lines.map((line) => line.working.steps.at(-1)?.label));
    const eight = Array.from({ length: 8 }, (_, index) => countPart(partition(`e${index}`), "imperial", library));
    const remembering = new JobSheets();
    remembering.apply(eight);
    expect(steps(remembering.apply(eight.slice(0, 4)))).toEqual(steps(new JobSheets().apply(eight.slice(0, 4))));
  });
});

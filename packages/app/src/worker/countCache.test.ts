import {
  countPart,
  type PartCount,
  partContext,
  plainLine,
  type StudWall,
  studWallKind,
} from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import fc from "fast-check";
import { CountCache } from "./countCache";
import { withUnchanged } from "./sentCounts";

const context = partContext("imperial", library);
const wall = (id: string, feet: number): StudWall =>
  studWallKind.withDimension(studWallKind.defaults(id, id, context), "length", feet * 304_800_000, "");
/** As it is sent: every working written. */
const plainCount = (each: StudWall): PartCount => {
  const count = countPart(each, "imperial", library);
  return { ...count, lines: count.lines.map(plainLine) };
};
const round = (cache: CountCache, walls: StudWall[]) =>
  cache.settle(walls.map((each) => cache.count(each, "imperial", library)));

describe("the count cache", () => {
  it("sends what changed, and the page has the same as a full count", () => {
    const cache = new CountCache();
    const first = round(cache, [wall("a", 12), wall("b", 20)]);
    expect(first.every((each) => !("unchanged" in each))).toBe(true);
    const before = withUnchanged(first, []);
    // Copies, as they come over from the page.
    const walls: StudWall[] = JSON.parse(JSON.stringify([wall("a", 12), wall("b", 24)]));
    const second = round(cache, walls);
    expect(second[0]).toEqual({ unchanged: "a" });
    expect(withUnchanged(second, before)).toEqual(walls.map(plainCount));
  });

  it("forgets a part that is gone, and counts it anew when it is back", () => {
    const cache = new CountCache();
    round(cache, [wall("a", 12)]);
    round(cache, []);
    expect(round(cache, [wall("a", 12)])[0]).toMatchObject({ partId: "a", pieces: expect.any(Array) });
  });

  it("says so if a count is missing on the page", () => {
    expect(() => withUnchanged([{ unchanged: "a" }], [])).toThrow("no earlier count of part a");
  });

  it("counts anew by other rules, and the same after any run of changes as a full count", () => {
    const steps = fc.array(
      fc.record({ at: fc.integer({ min: 0, max: 3 }), feet: fc.integer({ min: 3, max: 30 }), gone: fc.boolean() }),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(steps, (changes) => {
        const cache = new CountCache();
        let walls = ["a", "b", "c", "d"].map((id) => wall(id, 12));
        let shown = withUnchanged(round(cache, walls), []);
        for (const { at, feet, gone } of changes) {
          const id = ["a", "b", "c", "d"][at] ?? "a";
          walls = walls.filter((each) => each.id !== id);
          if (!gone) walls = [...walls, wall(id, feet)];
          shown = withUnchanged(round(cache, walls), shown);
          expect(shown).toEqual(walls.map(plainCount));
        }
      }),
      { numRuns: 25 },
    );
  });

  it("counts all of them once the rules are others", () => {
    const cache = new CountCache();
    const one = wall("a", 12);
    cache.settle([cache.count(one, "imperial", library)]);
    const [again] = cache.settle([cache.count(one, "imperial", { ...library })]);
    expect(again).toMatchObject({ partId: "a" });
  });
});

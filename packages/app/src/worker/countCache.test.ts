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
import { withUnchanged } from "./sent";

const context = partContext("imperial", library);
const wall = (id: string, feet: number): StudWall =>
  studWallKind.withDimension(studWallKind.defaults(id, id, context), "length", feet * 304_800_000, "", context);
/** As it is sent: every working written. */
const plainCount = (each: StudWall): PartCount => {
  const count = countPart(each, "imperial", library);
  return { ...count, lines: count.lines.map(plainLine) };
};
function round(cache: CountCache, walls: StudWall[]) {
  const counts = walls.map((each) => cache.count(each, "imperial", library));
  cache.settle();
  return cache.all(counts);
}

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
    round(cache, [one]);
    const [again] = cache.all([cache.count(one, "imperial", { ...library })]);
    expect(again).toMatchObject({ partId: "a" });
  });

  it("sends what is counted anew ahead of the rest, and of lines that other parts changed those alone", () => {
    const cache = new CountCache();
    const shown = withUnchanged(round(cache, [wall("a", 12), wall("b", 20)]), []);
    const counts = [wall("a", 16), wall("b", 20)].map((each) => cache.count(each, "imperial", library));
    cache.settle();
    const [a, b] = counts;
    if (!a || !b) throw new Error("two walls are counted");
    expect(cache.fresh(counts).map((each) => ("partId" in each ? each.partId : each.unchanged))).toEqual(["a"]);
    const [first, ...others] = b.lines;
    if (!first) throw new Error("a wall has lines");
    const shared: PartCount = { ...b, lines: [{ ...plainLine(first), ordered: 0.5 }, ...others] };
    const rest = cache.all([a, shared]);
    expect(rest[0]).toEqual({ unchanged: "a" });
    expect(rest[1]).toMatchObject({
      unchanged: "b",
      lines: [{ ordered: 0.5 }, ...others.map(({ id }) => ({ unchanged: id }))],
    });
    const page = withUnchanged(rest, [plainCount(wall("a", 16)), ...shown.slice(1)]);
    expect(page[1]?.lines[0]?.ordered).toBe(0.5);
    expect(page[1]?.lines.slice(1)).toEqual(plainCount(wall("b", 20)).lines.slice(1));
  });
});

import { countPart, partContext, type StudWall, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { CountCache, withUnchanged } from "./countCache";

const context = partContext("imperial", library);
const wall = (id: string, feet: number): StudWall =>
  studWallKind.withDimension(studWallKind.defaults(id, id, context), "length", feet * 304_800_000, "");
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
    expect(withUnchanged(second, before)).toEqual(walls.map((each) => countPart(each, "imperial", library)));
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
});

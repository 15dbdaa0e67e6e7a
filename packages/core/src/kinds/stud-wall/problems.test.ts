import type { Opening } from "../../parts/opening";
import { contexts, openingOf, wallOf } from "../../testing/library";
import { feet, inches, metres } from "../../units";
import { studWallKind } from "./index";
import type { StudWall } from "./schema";

type At = Partial<{ at: number; width: number; height: number; sill: number; kind: Opening["kind"] }>;
/** An opening by inches; a door of 30 by 80 in the middle of 12 ft where nothing else is said. */
const opening = (id: string, { at = 57, width = 30, height = 80, sill = 0, kind = "plain" }: At = {}): Opening =>
  openingOf(kind, id, {
    positionNm: inches(at),
    widthNm: inches(width),
    heightNm: inches(height),
    sillNm: inches(sill),
  });
const wall = (openings: Opening[], more: Partial<StudWall> = {}): StudWall => ({
  ...wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125), openings }),
  ...more,
});
const told = (each: StudWall) =>
  studWallKind.problems(each, contexts.imperial).map(({ code, path }) => `${code} ${path}`);
const toldOf = (at: At) => told(wall([opening("o", at)]));
const HAIR = 1 / 64;

describe("how long and how high a wall can be", () => {
  it("is its two end studs, at most 200 m long and 15 m high, and above its plates", () => {
    const long = (valueNm: number) => told(wall([], { length: { valueNm, typed: "", assumed: false } }));
    expect([long(metres(200)), long(inches(3))]).toEqual([[], []]);
    expect([long(metres(200) + 1), long(inches(3) - 1), long(0)].map((all) => all.length)).toEqual([1, 1, 1]);
    const high = (valueNm: number) => told(wall([], { height: { valueNm, typed: "", assumed: false } }));
    expect([high(metres(15)), high(inches(4.5) + 1)]).toEqual([[], []]);
    expect([high(metres(15) + 1), high(inches(4.5))]).toEqual([["too-high height"], ["too-low height"]]);
  });
});

describe("where an opening can be", () => {
  it("is within the wall, with an end stud and a jack beside it: 3 in", () => {
    expect(toldOf({ at: 3 })).toEqual([]);
    expect(toldOf({ at: 3 - HAIR })).toEqual(["no-room-for-studs openings.o.position"]);
    expect(toldOf({ at: 144 - 33 })).toEqual([]);
    expect(toldOf({ at: 144 - 33 + HAIR })).toEqual(["no-room-for-studs openings.o.position"]);
    expect(toldOf({ at: 144 - 30 + HAIR })).toEqual(["opening-past-end openings.o.position"]);
    expect(toldOf({ width: 144 + HAIR, at: 0 })).toEqual(["opening-too-wide openings.o.width"]);
    expect(toldOf({ width: 144, at: 0 })).toEqual(["no-room-for-studs openings.o.position"]);
  });

  it("has its head under the top plates: 97 1/8 less 3 in", () => {
    expect(toldOf({ height: 94.125 })).toEqual([]);
    expect(toldOf({ height: 94.125 + HAIR })).toEqual(["head-above-plate openings.o.height"]);
  });

  it("has a sill that lies on the bottom plate, or none: 1 1/2 in of sill on 1 1/2 in of plate", () => {
    const sill = (inch: number) => toldOf({ kind: "window", height: 40, sill: inch });
    expect([sill(0), sill(3), sill(34)]).toEqual([[], [], []]);
    expect(sill(3 - HAIR)).toEqual(["sill-in-plate openings.o.sill"]);
    expect(sill(94.125)).toEqual(["sill-above-head openings.o.sill"]);
    expect(toldOf({ kind: "door", sill: 6, height: 40 })).toEqual(["door-with-sill openings.o.sill"]);
  });

  it("is larger than nothing", () => {
    expect([toldOf({ width: 0 })[0], toldOf({ height: 0 })[0]]).toEqual([
      "not-positive openings.o.width",
      "not-positive openings.o.height",
    ]);
    expect(toldOf({ at: -1 })[0]).toMatch(/openings\.o\.position$/);
    expect(told(wall([opening("o", { at: 10, width: 20 }), opening("o", { at: 80, width: 20 })]))).toContain(
      "duplicate-id openings.o.id",
    );
  });

  it("leaves room for the studs between it and the next: two jacks and one king for both, 4 1/2 in", () => {
    const two = (secondAt: number) => told(wall([opening("a", { at: 20 }), opening("b", { at: secondAt })]));
    expect(two(54.5)).toEqual([]);
    expect(two(54.5 - HAIR)).toHaveLength(1);
    expect(two(50 - HAIR)).toEqual(["openings-overlap openings.b.position"]);
  });
});

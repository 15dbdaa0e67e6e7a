import { enterDimension } from "../../parts/entry";
import { sectionOf } from "../../parts/section";
import { contexts, openingOf, wallOf } from "../../testing/library";
import { feet, inches, metres } from "../../units";
import { newOpening } from "../../wall";
import { type StudWall, studWallKind, studWallSchema } from "./index";

const context = contexts.imperial;
const enter = (wall: StudWall, path: string, typed: string) => enterDimension(studWallKind, wall, path, typed, context);
const base = () => wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125) });
/** Three studs of 1 1/2 in. */
const besideNm = inches(4.5);
const door = (id: string, positionNm: number, widthNm = inches(38)) =>
  openingOf("door", id, { positionNm, widthNm, heightNm: inches(82.5) });
const window = (positionNm: number) =>
  openingOf("window", "window", { positionNm, widthNm: feet(3), heightNm: feet(4), sillNm: inches(34) });

describe("sections", () => {
  // American Softwood Lumber Standard PS 20, dressed dry sizes (values from memory).
  it.each([
    ["2x4", 1.5, 3.5],
    ["2x6", 1.5, 5.5],
    ["2x8", 1.5, 7.25],
    ["2x10", 1.5, 9.25],
    ["2x12", 1.5, 11.25],
    ["4x4", 3.5, 3.5],
  ])("a nominal %s is %d by %d in", (id, thickness, depth) => {
    const section = sectionOf(context.sections, id);
    expect([section.thicknessNm, section.depthNm]).toEqual([inches(thickness), inches(depth)]);
  });
});

describe("an entry on a wall", () => {
  it("is kept as typed beside the value it stands for", () => {
    const { part, problem } = enter(base(), "length", "16'4 - 3 1/2");
    expect(problem).toBeUndefined();
    expect(part.length).toEqual({ valueNm: inches(192.5), typed: "16'4 - 3 1/2", assumed: false });
  });

  it("in metric is taken in an imperial job, exactly", () => {
    expect(enter(base(), "length", "3.81m").part.length.valueNm).toBe(metres(3.81));
  });

  it.each([
    ["length", "three foot", "not-a-length"],
    ["length", "0", "not-positive"],
    ["length", "-4'", "not-positive"],
    ["length", "201 m", "too-long"],
    ["length", "2", "too-short"],
    ["height", "4", "too-low"],
    ["height", "60'", "too-high"],
  ])("of %s %s is refused with %s, and the last good value stays", (path, typed, code) => {
    const before = base();
    const { part, problem } = enter(before, path, typed);
    expect(problem).toMatchObject({ code, path });
    const key = path as "length" | "height";
    expect(part[key]).toEqual({ ...before[key], refused: typed });
    expect(studWallKind.problems(part, context)).toEqual([]);
  });

  it.each([
    ["openings.a.width", "14'", "opening-too-wide", "a is 14' 0\" wide; the wall is 12' 0\" long."],
    ["openings.a.position", "6'6", "openings-overlap", "window overlaps a by"],
    ["openings.a.height", "8'", "head-above-plate", "above the underside of the top plates"],
    ["openings.window.sill", "7'11", "sill-above-head", "above the highest head"],
    ["openings.window.sill", "1", "sill-in-plate", "at least"],
    ["openings.window.head", "2'", "not-positive", "The sill is above a head at 2' 0\"."],
    ["openings.a.position", "-1", "negative", "before the left end"],
    ["openings.a.position", "1", "no-room-for-studs", "from the end"],
    ["openings.window.position", "10'", "opening-past-end", "past the right end"],
    ["openings.a.width", "0", "not-positive", "more than zero"],
    ["openings.a.sill", "2'", "door-with-sill", "stands on the floor"],
    ["length", "9'", "opening-past-end", "past the right end"],
  ])("of %s %s is refused with %s", (path, typed, code, words) => {
    const wall = { ...base(), openings: [door("a", feet(1)), window(feet(8))] };
    const { part, problem } = enter(wall, path, typed);
    expect(problem?.code).toBe(code);
    expect(problem?.message).toContain(words);
    expect(studWallKind.problems(part, context)).toEqual([]);
  });

  it("of a head height sets the height above the sill", () => {
    const wall = { ...base(), openings: [window(feet(4))] };
    expect(enter(wall, "openings.window.head", "7'").part.openings[0]?.height.valueNm).toBe(inches(50));
  });

  it("that is good clears what was refused before", () => {
    const refused = enter(base(), "length", "oops").part;
    expect(enter(refused, "length", "10'").part.length).toEqual({ valueNm: feet(10), typed: "10'", assumed: false });
  });

  it("of a path that is no figure is a fault of the program", () => {
    expect(() => enter(base(), "colour", "12'")).toThrow('"colour" is not one of');
  });
});

describe("a new wall", () => {
  const wall = studWallKind.defaults("id", "Wall 1", context);

  it("fits its schema, and says what is missing and assumed", () => {
    expect(studWallSchema.parse(wall)).toEqual(wall);
    const points = studWallKind.openPoints(wall, context);
    expect(points.filter((point) => point.kind === "missing").map((point) => point.path)).toEqual(["length"]);
    expect(points.map((point) => point.path)).toContain("choices.bearing");
  });

  it("takes openings only once it is measured, in the widest free stretch", () => {
    expect(newOpening(wall, "door", "d", "imperial", besideNm)).toBeUndefined();
    const first = newOpening(base(), "door", "d", "imperial", besideNm);
    expect(first?.position.valueNm).toBe(inches(53));
    if (!first) throw new Error("no room");
    const second = newOpening({ ...base(), openings: [first] }, "window", "w", "imperial", besideNm);
    expect(second?.name).toBe("Window 1");
    expect(studWallKind.problems({ ...base(), openings: [first, ...(second ? [second] : [])] }, context)).toEqual([]);
  });
});

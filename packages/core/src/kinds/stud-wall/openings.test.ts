import fc from "fast-check";
import { countPart } from "../../count";
import { migrate } from "../../migrations/migrate";
import { enterDimension } from "../../parts/entry";
import type { Opening } from "../../parts/opening";
import { contexts, library, openingOf, wallOf } from "../../testing/library";
import { feet, inches, millimetres } from "../../units";
import { measuredOtherwise, placedOtherwise } from "../../wall";
import { allowanceOf, unitAllowance } from "./allowances";
import { framedOpenings, framingOf, type StudWall, studWallKind, studWallSchema } from "./index";

const context = contexts.imperial;
const wallWith = (...openings: Opening[]): StudWall =>
  wallOf("imperial", { lengthNm: feet(24), heightNm: inches(97.125), openings });
const door = (changes: Partial<Opening> = {}): Opening => ({
  ...openingOf("door", "d", { positionNm: feet(4), widthNm: inches(36), heightNm: inches(80) }),
  ...changes,
});
const window = (id: string, changes: Partial<Opening> = {}): Opening => ({
  ...openingOf("window", id, { positionNm: feet(4), widthNm: feet(3), heightNm: feet(4), sillNm: inches(34) }),
  ...changes,
});
const figures = (wall: StudWall) =>
  framedOpenings(wall, context).openings.map(({ position, width, height }) => [
    position.valueNm,
    width.valueNm,
    height.valueNm,
  ]);

describe("an opening measured by its unit", () => {
  // Common practice: a 3/0 x 6/8 door is framed 38 x 82 1/2 in; a window 1/2 in larger each way.
  it("is framed as the unit and the allowance round it, the middle where it was", () => {
    expect(figures(wallWith(door({ measuredAs: "unit" })))).toEqual([[feet(4) - inches(1), inches(38), inches(82.5)]]);
    expect(figures(wallWith(window("w", { measuredAs: "unit" })))).toEqual([
      [feet(4) - inches(0.25), inches(36.5), inches(48.5)],
    ]);
  });

  it("makes the same pieces as its rough opening typed", () => {
    const byUnit = countPart(wallWith(door({ measuredAs: "unit" })), "imperial", library);
    const rough = openingOf("door", "d", {
      positionNm: feet(4) - inches(1),
      widthNm: inches(38),
      heightNm: inches(82.5),
    });
    expect(byUnit.pieces).toEqual(countPart(wallWith(rough), "imperial", library).pieces);
  });

  it("follows the wall's own allowances", () => {
    const wall = wallWith(door({ measuredAs: "unit" }));
    const choices = { ...wall.choices, doorAllowanceWidth: inches(3) };
    expect(figures({ ...wall, choices })[0]?.[1]).toBe(inches(39));
  });

  it("has a head as high as its rough opening, and takes one typed", () => {
    const wall = wallWith(window("w", { measuredAs: "unit" }));
    const head = studWallKind.dimensions(wall, context).find((slot) => slot.path === "openings.w.head");
    expect(head?.dimension.valueNm).toBe(inches(34 + 48.5));
    const { part } = enterDimension(studWallKind, wall, "openings.w.head", "84", context);
    expect(part.openings[0]?.height.valueNm).toBe(inches(84 - 34 - 0.5));
    expect(studWallKind.dimensions(wall, context).map((slot) => slot.label)).toContain("Unit width");
  });

  it("keeps what was typed when it turns out to be the unit's; what was assumed stays the same hole", () => {
    const framing = framingOf(wallWith(), "imperial");
    expect(measuredOtherwise(door(), "unit", unitAllowance("door", framing)).width.valueNm).toBe(inches(36));
    const assumed = door({ width: { valueNm: inches(38), typed: "", assumed: true } });
    const unit = measuredOtherwise(assumed, "unit", unitAllowance("door", framing));
    expect(unit.width.valueNm).toBe(inches(36));
    expect(measuredOtherwise(unit, "rough", unitAllowance("door", framing))).toEqual(assumed);
  });

  it("is asked about as it was entered, not as it is framed", () => {
    const assumed = door({ measuredAs: "unit", width: { valueNm: inches(36), typed: "", assumed: true } });
    const messages = countPart(wallWith(assumed), "imperial", library).openPoints.map((point) => point.message);
    expect(messages).toContain("d: unit width is assumed: 3' 0\"");
  });

  it("says where the hole does not fit, though the unit would", () => {
    const tight = wallWith(door({ measuredAs: "unit", height: { valueNm: inches(93), typed: "", assumed: false } }));
    expect(studWallKind.problems(tight, context)).toMatchObject([{ code: "head-above-plate" }]);
  });
});

describe("where an opening stands", () => {
  it("in the middle, whatever the wall's length becomes", () => {
    const wall = wallWith(window("w", { along: "centred" }));
    expect(figures(wall)[0]?.[0]).toBe(feet(10.5));
    const longer = { ...wall, length: { valueNm: feet(30), typed: "", assumed: false } };
    expect(figures(longer)[0]?.[0]).toBe(feet(13.5));
  });

  it("with equal gaps between the ends and all that share the wall", () => {
    // Arithmetic: 24 ft less three of 3 ft leaves 15 ft, four gaps of 3 ft 9 in.
    const wall = wallWith(...["a", "b", "c"].map((id) => window(id, { along: "even" })));
    expect(figures(wall).map(([at]) => at)).toEqual([feet(3.75), feet(10.5), feet(17.25)]);
    expect(studWallKind.problems(wall, context)).toEqual([]);
  });

  it("has no figure to type but where it is measured from the left end", () => {
    const paths = (opening: Opening) => studWallKind.dimensions(wallWith(opening), context).map((slot) => slot.path);
    expect(paths(window("w"))).toContain("openings.w.position");
    expect(paths(window("w", { along: "centred" }))).not.toContain("openings.w.position");
    const drawn = studWallKind.draw(wallWith(window("w", { along: "even" })), context, { sharedOpenings: [] });
    expect(drawn.dimensions.map((dimension) => dimension.path)).not.toContain("openings.w.position");
  });

  it("stays there when it is measured from the left end again", () => {
    const wall = wallWith(door({ along: "centred", measuredAs: "unit" }));
    const [opening = door()] = wall.openings;
    const placed = placedOtherwise(wall, opening, "from-left", (each) => allowanceOf(wall, each, "imperial"));
    expect(placed.position.valueNm).toBe(feet(12) - inches(18));
    expect(figures({ ...wall, openings: [placed] })).toEqual(figures(wall));
    expect(placedOtherwise(wall, placed, "even", (each) => allowanceOf(wall, each, "imperial")).along).toBe("even");
  });

  it("overlaps are told, as ever", () => {
    const wall = wallWith(window("a", { along: "centred" }), window("b", { along: "centred" }));
    expect(studWallKind.problems(wall, context)).toMatchObject([{ code: "openings-overlap" }]);
  });
});

const anyOpening = fc
  .record({
    kind: fc.constantFrom("door" as const, "window" as const, "plain" as const),
    measuredAs: fc.constantFrom("rough" as const, "unit" as const),
    along: fc.constantFrom("from-left" as const, "centred" as const, "even" as const),
    positionNm: fc.integer({ min: 0, max: feet(20) }),
    widthNm: fc.integer({ min: inches(12), max: feet(6) }),
  })
  .map(({ kind, measuredAs, along, positionNm, widthNm }) => ({
    ...openingOf(kind, "o", { positionNm, widthNm, heightNm: feet(6) }),
    measuredAs,
    along,
  }));

describe("settling openings", () => {
  it("is done once for all: the result is settled", () => {
    fc.assert(
      fc.property(fc.array(anyOpening, { maxLength: 5 }), (openings) => {
        const ids = openings.map((opening, index) => ({ ...opening, id: `o${index}` }));
        const once = framedOpenings(wallWith(...ids), context);
        expect(framedOpenings(once, context)).toEqual(once);
        expect(once.openings.every((opening) => opening.measuredAs === "rough")).toBe(true);
      }),
    );
  });

  it("shares the wall so that gaps differ by a nanometre of rounding at most", () => {
    const widths = fc.array(fc.integer({ min: inches(6), max: feet(3) }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(widths, (all) => {
        const openings = all.map((widthNm, index) => ({
          ...openingOf("plain", `o${index}`, { positionNm: 0, widthNm, heightNm: feet(6) }),
          along: "even" as const,
        }));
        const settled = framedOpenings(wallWith(...openings), context).openings;
        const edges = settled.flatMap(({ position, width }) => [
          position.valueNm ?? 0,
          (position.valueNm ?? 0) + (width.valueNm ?? 0),
        ]);
        const ends = [0, ...edges, feet(24)];
        const gaps = ends.filter((_, index) => index % 2 === 0).map((from, index) => (ends[2 * index + 1] ?? 0) - from);
        expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(2);
      }),
    );
  });
});

describe("walls from before", () => {
  it("have rough openings, from the left end, and keep only the allowances somebody chose", () => {
    const { openings, ...rest } = wallWith(window("w"));
    const old = openings.map(({ measuredAs: _m, along: _a, ...opening }) => opening);
    const parameters = {
      windowAllowanceNm: { value: inches(1), assumed: false },
      topPlates: { value: 3, assumed: true },
    };
    const lifted = migrate(
      { ...rest, choices: {}, schemaVersion: 3, parameters, openings: old },
      studWallKind.migrations,
    );
    expect(lifted.ok && studWallSchema.parse(lifted.value)).toMatchObject({
      openings: [{ measuredAs: "rough", along: "from-left" }],
      choices: { windowAllowance: inches(1) },
    });
  });

  it("metric ones start from metric allowances", () => {
    const start = studWallKind.defaults("m", "M", contexts.metric);
    expect(framingOf(start, "metric").doorAllowanceWidth).toBe(millimetres(50));
  });
});

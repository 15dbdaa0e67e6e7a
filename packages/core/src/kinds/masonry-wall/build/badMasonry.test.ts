import { settlePart } from "../../../assemblies";
import { enterDimension, enterFigure } from "../../../parts/entry";
import { contexts, elevationOf, library, openingOf } from "../../../testing/library";
import { counted, masonryOf, pierOf, placed, quantityOf, said } from "../../../testing/masonry";
import { feet, metres, millimetres } from "../../../units";
import { pierKind } from "../../pier";
import { masonryWallKind } from "..";

const window = (x: number, width: number, sill: number, height: number) =>
  openingOf("window", "w", {
    positionNm: millimetres(x),
    widthNm: millimetres(width),
    sillNm: millimetres(sill),
    heightNm: millimetres(height),
  });
const wall = (openings = [window(2000, 1200, 900, 1050)], choices = {}, assemblyId = "brick-wall") =>
  masonryOf("metric", { lengthNm: metres(6.3), heightNm: metres(2.4), openings, choices, assemblyId });

describe("what masonry cannot be built by is said, and the rest counted", () => {
  it("a sill that misses a course: how far, the nearest courses, and what is cut; the opening stays as measured", () => {
    const count = counted(wall([window(2000, 1200, 918, 1032)]));
    expect(said(count)).toMatch(/its sill at 918 mm is 18 mm off a course: the nearest are 900 mm and 975 mm/);
    expect(said(count)).not.toMatch(/its head/);
    expect(placed(count, "outer-cut")).toBeGreaterThan(0);
    expect(quantityOf(count, "outerUnits")).toBeGreaterThan(700);
  });

  it("a top that misses a course: its last course is cut", () => {
    const count = counted(masonryOf("metric", { lengthNm: metres(4.5), heightNm: millimetres(2440) }));
    expect(said(count)).toMatch(
      /The top at 2440 mm is 35 mm off a course: the nearest are 2400 mm and 2475 mm. Units are cut to 30 mm/,
    );
    expect(placed(count, "outer-cut")).toBe(20);
  });

  it("nothing is said of what courses", () => {
    expect(said(counted(wall()))).not.toMatch(/off a course/);
  });

  it("an area of openings: taken off where stone or area is counted, told where courses are laid out or openings drawn", () => {
    const typed = { value: 2, typed: "2 m2", assumed: false };
    const area = (openings = [window(2000, 1200, 900, 1050)], choices = {}) => ({
      ...wall(openings, choices),
      openingArea: typed,
    });
    const byArea = { method: "by-area" };
    expect(quantityOf(counted(area([], byArea)), "outerUnits")).toBeLessThan(
      quantityOf(counted(wall([], byArea)), "outerUnits") - 100,
    );
    expect(said(counted(area([], byArea)))).not.toMatch(/openings/);
    expect(said(counted(area([])))).toMatch(/Laid out as if it had no openings: 2 m² is taken off its area alone/);
    expect(quantityOf(counted(area([])), "outerUnits")).toBe(quantityOf(counted(wall([])), "outerUnits"));
    expect(said(counted(area()))).toMatch(/The area of openings, 2 m², is not taken off: its openings are entered/);
    expect(counted(area()).lines).toEqual(counted(wall()).lines);
  });

  it("an area of openings is asked where it comes to something: of stone, and by area", () => {
    const asks = (choices: object, assemblyId = "brick-wall", openings: Parameters<typeof wall>[0] = []) =>
      masonryWallKind
        .figures?.(settlePart(wall(openings, choices, assemblyId), "metric", library))
        .some((each) => each.path === "openingArea");
    expect([asks({}), asks({ method: "by-area" }), asks({}, "stone-wall")]).toEqual([false, true, true]);
    expect(asks({}, "stone-wall", [window(2000, 1200, 900, 1050)])).toBe(false);
  });

  it("an area of openings below nothing is no record of a wall", () => {
    const stored = (value: number) => ({ ...wall([]), openingArea: { value, typed: "", assumed: false } });
    expect(masonryWallKind.schema.safeParse(stored(-1)).success).toBe(false);
    expect(masonryWallKind.schema.safeParse(stored(1e9)).success).toBe(false);
    expect(masonryWallKind.schema.safeParse(stored(2)).success).toBe(true);
  });

  it("an area of openings that leaves nothing, or cannot be read, stays beside with the last good one in force", () => {
    const good = enterFigure(masonryWallKind, wall([]), "openingArea", "2 m × 900 mm", contexts.metric);
    expect(good.part.openingArea).toMatchObject({ value: 1.8, typed: "2 m × 900 mm" });
    for (const typed of ["15.2", "-1", "3 m", "a door"]) {
      const bad = enterFigure(masonryWallKind, good.part, "openingArea", typed, contexts.metric);
      expect(bad.problem?.path).toBe("openingArea");
      expect(bad.part.openingArea).toMatchObject({ value: 1.8, refused: typed });
      expect(said(counted(bad.part))).toMatch(/Area of openings: “.*” could not be used|Area of openings.*could not/);
    }
    const again = enterFigure(masonryWallKind, good.part, "openingArea", "0", contexts.metric);
    expect(again.part.openingArea).toEqual({ value: 0, typed: "0", assumed: false });
  });

  it("a soldier course where a lintel stands, or over an opening at the very top: the courses go on", () => {
    const soldiers = (choices: object, openings = [window(2000, 1200, 900, 1050)]) =>
      counted(wall(openings, { soldiers: true, ...choices }));
    expect(said(soldiers({ lintelsDisplace: true }))).toMatch(/has no soldier course: its lintel stands there/);
    expect(said(soldiers({ lintelsDisplace: false }))).not.toMatch(/soldier/);
    expect(said(soldiers({ lintels: false }, [window(2000, 1200, 1200, 1200)]))).toMatch(/the wall is too low/);
    expect(said(soldiers({ lintels: false }, [window(2000, 60, 900, 1050)]))).toMatch(/narrower than one unit on end/);
    const kept = quantityOf(soldiers({ lintelsDisplace: true }), "outerUnits");
    expect(kept).toBe(
      quantityOf(counted(wall([window(2000, 1200, 900, 1050)], { lintelsDisplace: true })), "outerUnits"),
    );
  });

  it("an opening wider than any lintel of the table", () => {
    const count = counted(wall([window(1000, 3000, 900, 1050)]));
    expect(said(count)).toMatch(/needs a lintel of 3300 mm, longer than any of the table “Lintels”/);
    expect(quantityOf(count, "outerUnits")).toBeGreaterThan(600);
    expect(quantityOf(count, "lintelPieces")).toBe(0);
  });

  it("an assembly without a table of lintels", () => {
    const bare = library.assemblies.map((each) => (each.id === "brick-wall" ? { ...each, tables: [] } : each));
    expect(said(counted(wall(), "metric", { ...library, assemblies: bare }))).toMatch(/has no table of lintels/);
  });

  it("a unit there is not, or a joint of nothing", () => {
    expect(said(counted(wall([], { unit: "brick-9" })))).toMatch(/no masonry unit “brick-9”/);
    expect(said(counted(wall([], { unit: "brick-modular" })))).toMatch(/of the other measuring system/);
    const thin = counted(wall([], { joints: "own", bedJoint: 0, tieUp: "often" }));
    expect(said(thin)).toMatch(/Bed joint, where its own: “0” is nothing that can be built by/);
    expect(said(thin)).toMatch(/Ties apart up: “often” is nothing that can be built by/);
    expect(quantityOf(thin, "outerUnits")).toBeGreaterThan(700);
    const joint = library.assemblies.map((each) =>
      each.id === "brick-wall"
        ? {
            ...each,
            parameters: [...each.parameters, { name: "bedJoint", label: "Bed", kind: "length" as const, default: 0 }],
          }
        : each,
    );
    const count = counted(wall(), "metric", { ...library, assemblies: joint });
    expect(said(count)).toMatch(/which nobody can build by. The next in line is used/);
    expect(quantityOf(count, "outerUnits")).toBeGreaterThan(700);
  });

  it("a stone wider than its wall, and two faces that do not go into it", () => {
    const stone = (choices: Record<string, number>) => said(counted(wall([], choices, "stone-wall")));
    expect(stone({ stoneThickness: millimetres(100) })).toMatch(/100 mm from face to face, and the stone is 150 mm/);
    expect(stone({ stoneThickness: millimetres(250), stoneFaces: 2 })).toMatch(/two faces of stone are 300 mm/);
    const two = counted(wall([], { stoneThickness: millimetres(450), stoneFaces: 2 }, "stone-wall"));
    // Both faces of 150 mm, and 150 mm of hearting between: 15.12 m² × 0.15 m × 2 t.
    expect(quantityOf(two, "heartingStone")).toBeCloseTo(15.12 * 0.15 * 2000, 6);
    expect(quantityOf(two, "stoneCount") / 1.08).toBeCloseTo((2 * 15.12) / (0.315 * 0.165), 6);
  });

  it("insulation thicker than the cavity", () => {
    expect(said(counted(wall([], { insulation: millimetres(150) }, "cavity-wall")))).toMatch(
      /does not go into a cavity/,
    );
  });

  it("a bond of headers in a wall one unit thick is laid as stretchers", () => {
    const count = counted(wall([], { bond: "english" }));
    expect(said(count)).toMatch(/English bond is laid as stretchers/);
    expect(quantityOf(count, "outerUnits")).toBe(896);
  });

  it("more units than any wall has", () => {
    const count = counted({ ...wall([]), repeats: 500 });
    expect(said(count)).toMatch(/about 450,000 units; more than 100,000 are not laid out/);
  });

  it.each([
    ["length", "0", /more than zero/],
    ["length", "900 m", /at most 200000 mm long/],
    ["height", "-2 m", /more than zero/],
    ["openings.w.width", "7 m", /7000 mm wide; the wall is 6300 mm long/],
    ["openings.w.position", "5.5 m", /400 mm past the right end/],
    ["openings.w.height", "1.6 m", /above the top of the wall there, 2400 mm/],
  ])("the figure %s of %s: the last good one stays", (path, typed, message) => {
    const before = wall();
    const { part, problem } = enterDimension(masonryWallKind, before, path, typed, contexts.metric);
    expect(problem?.message).toMatch(message);
    expect(quantityOf(counted(part), "outerUnits")).toBe(quantityOf(counted(before), "outerUnits"));
  });

  it("openings that overlap", () => {
    const two = wall([window(1000, 1200, 900, 900), { ...window(1500, 1200, 900, 900), id: "v", name: "Second" }]);
    expect(said(counted(two))).toMatch(/Second overlaps w by 700 mm/);
  });

  it("a pier too small to be hollow, or of no size", () => {
    const pier = pierOf("metric", [millimetres(215), millimetres(440), metres(1)], { hollow: true });
    expect(said(counted(pier))).toMatch(/A hollow pier of Brick .* is more than 215 mm each way/);
    expect(enterDimension(pierKind, pier, "height", "0", contexts.metric).problem?.message).toMatch(/more than zero/);
    expect(enterDimension(pierKind, pier, "width", "11 m", contexts.metric).problem?.message).toMatch(
      /at most 10000 mm/,
    );
  });
});

describe("an opening's size", () => {
  it("as a co-ordinating one leaves a joint more open (brick dimension tables, from memory)", () => {
    const at = (openingSizes: string) =>
      counted(wall([window(2025, 1125, 900, 1050)], { openingSizes, lintels: false }));
    // 1125 mm is five bricks with their joints; what is left open is 1135 mm.
    const drawn = at("coordinating").drawing;
    const hole = elevationOf(drawn).rectangles.find((each) => each.role === "opening");
    expect(hole?.widthNm).toBe(millimetres(1135));
    expect(at("work").problems).toEqual([]);
  });

  it("by its unit leaves room round the frame", () => {
    const unit = { ...window(2000, 1200, 900, 1050), measuredAs: "unit" as const };
    const { drawing } = counted(wall([unit]));
    const hole = elevationOf(drawing).rectangles.find((each) => each.role === "opening");
    expect([hole?.widthNm, hole?.xNm]).toEqual([millimetres(1210), millimetres(1995)]);
  });
});

describe("a wall built more than once", () => {
  it("has its units as often", () => {
    expect(quantityOf(counted({ ...wall([]), repeats: 3 }), "outerUnits")).toBe(3 * 896);
    expect(
      quantityOf(counted(pierOf("imperial", [feet(2), feet(2), feet(4)], { count: 2 }), "imperial"), "outerUnits"),
    ).toBe(2 * quantityOf(counted(pierOf("imperial", [feet(2), feet(2), feet(4)]), "imperial"), "outerUnits"));
  });
});

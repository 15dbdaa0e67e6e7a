import fc from "fast-check";
import { overlaps } from "../../../geometry/rectangle";
import { contexts, framingRulesOf, openingOf, wallOf } from "../../../testing/library";
import { feet, inches, type MeasuringSystem, millimetres, NM_PER_INCH, NM_PER_MM } from "../../../units";
import { type StudWall, studWallKind } from "../..";
import { headerFor, layoutStudWall } from "./index";
import { jointsOf, spliceSpan } from "./splice";

const layOut = (wall: StudWall, system: MeasuringSystem) =>
  layoutStudWall(wall, framingRulesOf(system), contexts[system]);

/** `role: x, y, length`, in the unit given, for comparing with a list worked by hand. */
function listed(wall: StudWall, system: MeasuringSystem): string[] {
  const unit = system === "imperial" ? NM_PER_INCH : NM_PER_MM;
  return layOut(wall, system).pieces.map(
    (piece) =>
      `${piece.role} ${piece.sectionId}: ${piece.xNm / unit}, ${piece.yNm / unit}, ${piece.cutLengthNm / unit}`,
  );
}

describe("a bearing wall of 12 ft with one window, worked by hand", () => {
  /*
   * 2x4 (1 1/2 x 3 1/2 dressed, PS 20) at 16 in, 97 1/8 in high: one bottom plate, top plate and cap plate of 1 1/2 in each.
   *   studs stand from 1 1/2 to 94 1/8: 92 5/8 in, the precut length (common practice).
   * Window 36 x 48 in rough, sill at 34 in, from 48 in: right side 84, head 82.
   *   jacks 46 1/2 and 84, kings 45 and 85 1/2; jack length 82 - 1 1/2 = 80 1/2.
   *   header 36 in wide → 2-2x6 (practice), 46 1/2 to 85 1/2 = 39 in long, 5 1/2 deep, from 82 to 87 1/2.
   *   cripples above 87 1/2 to 94 1/8 = 6 5/8 in; sill 36 in, its top at 34; cripples below 1 1/2 to 32 1/2 = 31 in.
   * Layout centres 16, 32, 48, 64, 80, 96, 112, 128, so left faces 3/4 in less. 47 1/4, 63 1/4 and 79 1/4 fall on the
   * opening or its jambs; of these 63 1/4 and 79 1/4 stand clear inside and carry cripples.
   */
  const window = openingOf("window", "w", {
    positionNm: inches(48),
    widthNm: inches(36),
    heightNm: inches(48),
    sillNm: inches(34),
  });
  const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125), bearing: true, openings: [window] });

  it("has every piece in its place", () => {
    expect(listed(wall, "imperial").toSorted()).toEqual(
      [
        "bottom-plate 2x4: 0, 0, 144",
        "top-plate 2x4: 0, 94.125, 144",
        "cap-plate 2x4: 0, 95.625, 144",
        ...[0, 15.25, 31.25, 95.25, 111.25, 127.25, 142.5].map((x) => `stud 2x4: ${x}, 1.5, 92.625`),
        "king 2x4: 45, 1.5, 92.625",
        "king 2x4: 85.5, 1.5, 92.625",
        "jack 2x4: 46.5, 1.5, 80.5",
        "jack 2x4: 84, 1.5, 80.5",
        "header 2x6: 46.5, 82, 39",
        "header 2x6: 46.5, 82, 39",
        "cripple-above 2x4: 63.25, 87.5, 6.625",
        "cripple-above 2x4: 79.25, 87.5, 6.625",
        "sill 2x4: 48, 32.5, 36",
        "cripple-below 2x4: 63.25, 1.5, 31",
        "cripple-below 2x4: 79.25, 1.5, 31",
      ].toSorted(),
    );
  });

  it("has a flat plate and no header once it does not bear", () => {
    const partition = { ...wall, choices: { ...wall.choices, bearing: false } };
    const pieces = listed(partition, "imperial");
    expect(pieces.filter((piece) => piece.startsWith("header"))).toEqual([]);
    expect(pieces).toContain("flat-plate 2x4: 46.5, 82, 39");
    // Cripples now start on the flat plate, 83 1/2 to 94 1/8.
    expect(pieces).toContain("cripple-above 2x4: 63.25, 83.5, 10.625");
  });
});

describe("a metric partition of 3.6 m with a door, worked by hand", () => {
  /*
   * 38 x 89 at 600 mm, 2400 high, one plate below and one above: studs from 38 to 2362 = 2324.
   * Door 890 x 2070 from 1200, so to 2090: jacks 1162 and 2090 of 2032, kings 1124 and 2128.
   *   flat plate 1162 to 2128 = 966 at 2070; cripples above 2108 to 2362 = 254.
   * Centres 600, 1200, 1800, 2400, 3000: left faces 581, 1181, 1781, 2381, 2981. 1181 falls on a jamb, 1781 is over the door.
   * The bottom plate stops at the door: 0 to 1200 and 2090 to 3600.
   */
  it("has every piece in its place", () => {
    const door = openingOf("door", "d", {
      positionNm: millimetres(1200),
      widthNm: millimetres(890),
      heightNm: millimetres(2070),
    });
    const wall = wallOf("metric", {
      lengthNm: millimetres(3600),
      heightNm: millimetres(2400),
      topPlates: 1,
      openings: [door],
    });
    expect(listed(wall, "metric").toSorted()).toEqual(
      [
        "bottom-plate 38x89: 0, 0, 1200",
        "bottom-plate 38x89: 2090, 0, 1510",
        "top-plate 38x89: 0, 2362, 3600",
        ...[0, 581, 2381, 2981, 3562].map((x) => `stud 38x89: ${x}, 38, 2324`),
        "king 38x89: 1124, 38, 2324",
        "king 38x89: 2128, 38, 2324",
        "jack 38x89: 1162, 38, 2032",
        "jack 38x89: 2090, 38, 2032",
        "flat-plate 38x89: 1162, 2070, 966",
        "cripple-above 38x89: 1781, 2108, 254",
      ].toSorted(),
    );
  });
});

describe("a bearing wall of 20 ft with a wide opening, worked by hand", () => {
  /*
   * 2x6 at 24 in, 97 1/8 in high: studs 92 5/8. Plain opening 84 x 80 from 60, so to 144.
   *   over 6 ft wide: two jacks a side, at 58 1/2, 57 and 144, 145 1/2, of 80 - 1 1/2 = 78 1/2; kings at 55 1/2 and 147.
   *   84 in → 2-2x10 (practice), 9 1/4 deep, over all four jacks: 57 to 147 = 90 in, from 80 to 89 1/4.
   *   cripples above 89 1/4 to 94 1/8 = 4 7/8.
   * Centres 24 to 216; left faces 71 1/4, 95 1/4, 119 1/4 and 143 1/4 fall on the opening; the last is half on a jack,
   * so three cripples. The top plate of 16 ft stock joins at 192, the cap plate 24 in short of it at 168 (IRC R602.3.2).
   */
  it("has every piece in its place", () => {
    const opening = openingOf("plain", "p", { positionNm: inches(60), widthNm: inches(84), heightNm: inches(80) });
    const wall = wallOf("imperial", {
      lengthNm: feet(20),
      heightNm: inches(97.125),
      spacingNm: inches(24),
      studSize: "2x6",
      bearing: true,
      openings: [opening],
    });
    expect(listed(wall, "imperial").toSorted()).toEqual(
      [
        "bottom-plate 2x6: 0, 0, 60",
        "bottom-plate 2x6: 144, 0, 96",
        "top-plate 2x6: 0, 94.125, 192",
        "top-plate 2x6: 192, 94.125, 48",
        "cap-plate 2x6: 0, 95.625, 168",
        "cap-plate 2x6: 168, 95.625, 72",
        ...[0, 23.25, 47.25, 167.25, 191.25, 215.25, 238.5].map((x) => `stud 2x6: ${x}, 1.5, 92.625`),
        "king 2x6: 55.5, 1.5, 92.625",
        "king 2x6: 147, 1.5, 92.625",
        ...[58.5, 57, 144, 145.5].map((x) => `jack 2x6: ${x}, 1.5, 78.5`),
        "header 2x10: 57, 80, 90",
        "header 2x10: 57, 80, 90",
        ...[71.25, 95.25, 119.25].map((x) => `cripple-above 2x6: ${x}, 89.25, 4.875`),
      ].toSorted(),
    );
  });
});

describe("layout studs", () => {
  // Arithmetic: n spacings have n + 1 studs, for every spacing in use, to a thousand spacings.
  const cases = [
    ...[12, 16, 19.2, 24].map((spacing) => ["imperial", inches(spacing)] as const),
    ...[300, 400, 450, 600].map((spacing) => ["metric", millimetres(spacing)] as const),
  ];
  it.each(cases)("%s at %d nm: n spacings have n + 1, for n to 1000", (system, spacingNm) => {
    // Places are whole nanometres, so that nothing grows with n: past two hundred one in thirteen is looked at.
    for (let n = 1; n <= 1000; n += n < 200 ? 1 : 13) {
      const wall = wallOf(system, { lengthNm: n * spacingNm, heightNm: millimetres(2400), spacingNm });
      const studs = layOut(wall, system).pieces.filter((piece) => piece.role === "stud").length;
      if (studs !== n + 1) throw new Error(`${n} spacings of ${spacingNm} nm have ${studs} studs`);
    }
  });

  it("does not stand a stud in the end stud for a wall a hair longer", () => {
    const wall = wallOf("imperial", { lengthNm: feet(12) + inches(1), heightNm: feet(8) });
    const { pieces, tally } = layOut(wall, "imperial");
    expect(tally).toEqual({ layoutPositions: 11, onEndStud: 1, atOpenings: 0, atCorners: 0, atBreaks: 0 });
    expect(pieces.filter((piece) => piece.role === "stud")).toHaveLength(10);
  });
});

describe("jambs", () => {
  const widths = (positionNm: number, widthNm: number) =>
    wallOf("imperial", {
      lengthNm: feet(16),
      heightNm: inches(97.125),
      openings: [openingOf("door", "d", { positionNm, widthNm, heightNm: inches(82.5) })],
    });

  it("lets an end stud serve as the king of an opening hard by it", () => {
    const { pieces } = layOut(widths(inches(3), inches(38)), "imperial");
    expect(pieces.filter((piece) => piece.role === "king")).toHaveLength(1);
    expect(pieces.filter((piece) => piece.role === "stud" && piece.xNm === 0)).toHaveLength(1);
  });

  it("has two jacks a side over 6 ft wide (common practice)", () => {
    const jacks = (widthNm: number) =>
      layOut(widths(inches(40), widthNm), "imperial").pieces.filter((piece) => piece.role === "jack").length;
    expect(jacks(inches(72))).toBe(2);
    expect(jacks(inches(73))).toBe(4);
  });

  it("frames no header where an opening reaches the underside of the plates", () => {
    const wall = wallOf("imperial", {
      lengthNm: feet(12),
      heightNm: inches(97.125),
      bearing: true,
      openings: [openingOf("plain", "p", { positionNm: feet(4), widthNm: feet(3), heightNm: inches(94.125) })],
    });
    const roles = layOut(wall, "imperial").pieces.map((piece) => piece.role);
    expect(roles).not.toContain("header");
    expect(roles).not.toContain("cripple-above");
  });
});

describe("header schedule (common practice, one storey, assumed)", () => {
  const { headerSchedule } = framingRulesOf("imperial");
  it.each([
    [36, "2x6", false],
    [48, "2x6", false],
    [48.5, "2x8", false],
    [72, "2x8", false],
    [96, "2x10", false],
    [97, "2x10", true],
  ])("%d in wide takes 2-%s", (widthIn, sectionId, beyond) => {
    const found = headerFor(headerSchedule, inches(widthIn));
    expect(found).toMatchObject({ row: { sectionId, plies: 2 }, beyond });
  });

  it("says so where a header is deeper than the room over the opening, and beyond the schedule", () => {
    const wall = wallOf("imperial", {
      lengthNm: feet(16),
      heightNm: inches(97.125),
      bearing: true,
      openings: [openingOf("door", "d", { positionNm: feet(3), widthNm: feet(9), heightNm: inches(90) })],
    });
    const codes = layOut(wall, "imperial").problems.map((each) => each.code);
    expect(codes).toEqual(["beyond-header-schedule", "header-does-not-fit"]);
  });
});

describe("plate splices", () => {
  // IRC R602.3.2: end joints in double top plates offset at least 24 in.
  it("splices a 24 ft wall of 16 ft stock at 16 ft, and its cap plate at 14 ft", () => {
    const below = spliceSpan({ startNm: 0, endNm: feet(24) }, feet(16), [], inches(24));
    const above = spliceSpan({ startNm: 0, endNm: feet(24) }, feet(16), jointsOf(below), inches(24));
    expect(jointsOf(below)).toEqual([feet(16)]);
    expect(jointsOf(above)).toEqual([feet(14)]);
  });

  it("keeps every joint 24 in clear of those below, and every piece within the stock, on any wall", () => {
    const lengths = fc.integer({ min: inches(6), max: feet(300) });
    const stocks = fc.integer({ min: 8, max: 20 }).map(feet);
    fc.assert(
      fc.property(lengths, stocks, (lengthNm, longestNm) => {
        const span = { startNm: 0, endNm: lengthNm };
        const below = spliceSpan(span, longestNm, [], inches(24));
        const above = spliceSpan(span, longestNm, jointsOf(below), inches(24));
        const within = [...below, ...above].every(
          ({ startNm, endNm }) => endNm > startNm && endNm - startNm <= longestNm,
        );
        const clear = jointsOf(above).every((joint) =>
          jointsOf(below).every((other) => Math.abs(joint - other) >= inches(24)),
        );
        expect({ within, clear, endNm: above.at(-1)?.endNm }).toEqual({ within: true, clear: true, endNm: lengthNm });
      }),
    );
  });
});

describe("any wall without problems", () => {
  const arbitraryWall = fc
    .record({
      lengthNm: fc.integer({ min: inches(8), max: feet(60) }),
      bearing: fc.boolean(),
      at: fc.array(
        fc.tuple(fc.integer({ min: 0, max: 700 }), fc.integer({ min: 6, max: 140 }), fc.integer({ min: 0, max: 60 })),
        {
          maxLength: 4,
        },
      ),
    })
    .map(({ lengthNm, bearing, at }) => {
      const openings = at.map(([position, width, sill], index) =>
        openingOf(sill < 10 ? "door" : "window", `o${index}`, {
          positionNm: inches(position),
          widthNm: inches(width),
          heightNm: inches(30),
          sillNm: sill < 10 ? 0 : inches(sill),
        }),
      );
      return wallOf("imperial", { lengthNm, heightNm: inches(97.125), bearing, openings });
    })
    .filter((wall) => studWallKind.problems(wall, contexts.imperial).length === 0);

  it("has no two pieces in one place, but header plies, and none outside the wall", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const { pieces } = layOut(wall, "imperial");
        const single = pieces.filter((piece) => piece.role !== "header" || piece.id.endsWith("-1"));
        for (const [index, piece] of single.entries()) {
          const inside = piece.xNm >= 0 && piece.xNm + piece.widthNm <= (wall.length.valueNm ?? 0);
          if (!inside) throw new Error(`${piece.id} is outside the wall`);
          const clash = single.slice(index + 1).find((other) => overlaps(piece, other));
          if (clash) throw new Error(`${piece.id} and ${clash.id} overlap`);
        }
      }),
      { numRuns: 200 },
    );
  });
});

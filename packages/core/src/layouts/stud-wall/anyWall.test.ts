import fc from "fast-check";
import { overlaps } from "../../geometry/rectangle";
import { heightAt, measured, type Opening, profileOf, type StudWall, studWallKind, type WallShape } from "../../parts";
import { contexts, framingOf, openingOf, wallOf } from "../../testing/library";
import { feet, inches } from "../../units";
import { layoutStudWall } from "./index";

const ENDS = ["free", "corner-through", "corner-butts", "meets"] as const;

const arbitraryOpening = fc
  .record({
    position: fc.integer({ min: 4, max: 400 }),
    width: fc.integer({ min: 12, max: 100 }),
    sill: fc.constantFrom(0, 0, 24, 34),
    height: fc.integer({ min: 24, max: 82 }),
  })
  .map(({ position, width, sill, height }) => ({ position, width, sill, height: Math.min(height, 82 - sill) }));

const arbitraryShape: fc.Arbitrary<WallShape> = fc.oneof(
  fc.constant<WallShape>({ how: "level" }),
  fc
    .record({ up: fc.constantFrom("left" as const, "right" as const), rise: fc.integer({ min: 6, max: 60 }) })
    .map(({ up, rise }): WallShape => ({ how: "slope", up, highHeight: measured(inches(97.125 + rise), "") })),
  fc.record({ at: fc.integer({ min: 40, max: 90 }), rise: fc.integer({ min: 6, max: 60 }) }).map(
    ({ at, rise }): WallShape => ({
      how: "gable",
      peakHeight: measured(inches(97.125 + rise), ""),
      peakAt: measured(inches(at), ""),
    }),
  ),
);

/** Any wall that its own checks take, with any of the choices of framing. */
const arbitraryWall: fc.Arbitrary<StudWall> = fc
  .record({
    length: fc.integer({ min: 100, max: 480 }),
    openings: fc.array(arbitraryOpening, { maxLength: 3 }),
    shape: arbitraryShape,
    left: fc.constantFrom(...ENDS),
    right: fc.constantFrom(...ENDS),
    meetings: fc.array(fc.integer({ min: 10, max: 470 }), { maxLength: 2 }),
    bearing: fc.boolean(),
    cornerStyle: fc.constantFrom("two-stud" as const, "three-stud" as const, "four-stud" as const),
    meetingStyle: fc.constantFrom("extra-studs" as const, "ladder" as const),
    kingsPerSide: fc.integer({ min: 1, max: 2 }),
    sillPlies: fc.integer({ min: 1, max: 2 }),
    bottomPlates: fc.integer({ min: 1, max: 2 }),
    topPlates: fc.integer({ min: 1, max: 2 }),
    blocking: fc.constantFrom(0, 32, 48),
    layoutFrom: fc.constantFrom("left" as const, "right" as const),
    studSize: fc.constantFrom("2x4", "2x6"),
    spacing: fc.constantFrom(12, 16, 19.2, 24),
  })
  .map((each) => {
    const openings = each.openings.map(
      (opening, index): Opening =>
        openingOf(opening.sill === 0 ? "door" : "window", `o${index}`, {
          positionNm: inches(opening.position),
          widthNm: inches(opening.width),
          heightNm: inches(opening.height),
          sillNm: inches(opening.sill),
        }),
    );
    const wall = wallOf("imperial", {
      lengthNm: inches(each.length),
      heightNm: inches(97.125),
      spacingNm: inches(each.spacing),
      studSize: each.studSize,
      topPlates: each.topPlates,
      bearing: each.bearing,
      openings,
      choices: {
        cornerStyle: each.cornerStyle,
        meetingStyle: each.meetingStyle,
        kingsPerSide: each.kingsPerSide,
        sillPlies: each.sillPlies,
        bottomPlates: each.bottomPlates,
        blockingEveryNm: inches(each.blocking),
        layoutFrom: each.layoutFrom,
      },
    });
    const meetings = each.meetings
      .filter((at) => at < each.length - 6)
      .map((at) => ({ positionNm: inches(at), thicknessNm: inches(4.5), withName: "" }));
    return { ...wall, shape: each.shape, ends: { left: each.left, right: each.right }, meetings };
  })
  .filter((wall) => studWallKind.problems(wall, contexts.imperial).length === 0);

const layOut = (wall: StudWall) => layoutStudWall(wall, framingOf("imperial"), contexts.imperial);
/** A hair for rounding to whole nanometres along a slope. */
const HAIR_NM = 10;

describe("any wall, by any of the choices", () => {
  it("has no two sticks in one place but plies of one header, unless its top slopes", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        if (wall.shape.how !== "level") return;
        const single = layOut(wall).pieces.filter((piece) => piece.behind === undefined);
        for (const [index, piece] of single.entries()) {
          const clash = single.slice(index + 1).find((other) => overlaps(piece, other));
          if (clash) throw new Error(`${piece.id} and ${clash.id} overlap`);
        }
      }),
      { numRuns: 150 },
    );
  });

  it("keeps every stick within its length and under its top", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const profile = profileOf(wall);
        const lengthNm = wall.length.valueNm ?? 0;
        for (const { id, xNm, yNm, widthNm, heightNm, points } of layOut(wall).pieces) {
          if (xNm < 0 || xNm + widthNm > lengthNm + HAIR_NM || yNm < 0) throw new Error(`${id} is outside the wall`);
          const corners = points ?? [
            { xNm, yNm: yNm + heightNm },
            { xNm: xNm + widthNm, yNm: yNm + heightNm },
          ];
          const over = corners.find((corner) => corner.yNm > heightAt(profile, corner.xNm) + HAIR_NM);
          if (over) throw new Error(`${id} stands over the top of the wall`);
        }
      }),
      { numRuns: 150 },
    );
  });

  it("has ids that no two pieces share, and lengths above nothing", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const { pieces, hardware } = layOut(wall);
        const ids = [...pieces, ...hardware].map((piece) => piece.id);
        expect(new Set(ids).size).toBe(ids.length);
        expect(pieces.every((piece) => piece.cutLengthNm > 0)).toBe(true);
      }),
      { numRuns: 100 },
    );
  });

  it("tallies its studs: layout positions, less those taken, and those under breaks", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const { pieces, tally } = layOut(wall);
        const { layoutPositions, onEndStud, atOpenings, atCorners, atBreaks } = tally;
        const studs = pieces.filter((piece) => piece.role === "stud").length;
        expect(studs).toBe(layoutPositions - onEndStud - atOpenings - atCorners + atBreaks);
      }),
      { numRuns: 100 },
    );
  });

  it("is never framed with more than a stud for each foot and its corners, jambs and blocking (common practice)", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        if (wall.parameters.spacingNm.value < inches(16)) return;
        const studs = layOut(wall).pieces.filter((piece) => piece.role === "stud").length;
        expect(studs).toBeLessThanOrEqual((wall.length.valueNm ?? 0) / feet(1) + 3);
      }),
      { numRuns: 60 },
    );
  });
});

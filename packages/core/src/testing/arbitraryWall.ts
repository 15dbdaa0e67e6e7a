import fc from "fast-check";
import { measured, type Opening, type StudWall, studWallKind, type WallShape } from "../kinds";
import { inches } from "../units";
import { contexts, openingOf, wallOf } from "./library";

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
export const arbitraryWall: fc.Arbitrary<StudWall> = fc
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
        blockingEvery: inches(each.blocking),
        layoutFrom: each.layoutFrom,
      },
    });
    const meetings = each.meetings
      .filter((at) => at < each.length - 6)
      .map((at) => ({ positionNm: inches(at), thicknessNm: inches(4.5), withName: "" }));
    return { ...wall, shape: each.shape, ends: { left: each.left, right: each.right }, meetings };
  })
  .filter((wall) => studWallKind.problems(wall, contexts.imperial).length === 0);

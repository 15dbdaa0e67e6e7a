import fc from "fast-check";
import type { RisingEdge, XY } from "../geometry/skeleton";

/** Outlines that do not cross themselves, against the clock; millimetres. */
const stars: fc.Arbitrary<XY[]> = fc
  .array(
    fc.tuple(fc.double({ min: 0.25, max: 0.75, noNaN: true }), fc.double({ min: 3000, max: 12000, noNaN: true })),
    {
      minLength: 3,
      maxLength: 14,
    },
  )
  .map((corners) =>
    corners.map(([within, radius], index): XY => {
      const angle = ((index + within) / corners.length) * 2 * Math.PI;
      return [Math.cos(angle) * radius, Math.sin(angle) * radius];
    }),
  );

/** Square-cornered outlines in steps of a metre, in which many things happen at the same height, as in houses. */
const skylines: fc.Arbitrary<XY[]> = fc
  .array(fc.integer({ min: 2, max: 7 }), { minLength: 1, maxLength: 7 })
  .map((heights) => {
    const top = heights.flatMap((height, index): XY[] => [
      [index * 2000, height * 1000],
      [(index + 1) * 2000, height * 1000],
    ]);
    const corners: XY[] = [[0, 0], [heights.length * 2000, 0], ...top.toReversed()];
    return corners.filter((corner, index) => {
      const next = corners[(index + 1) % corners.length];
      return corner[0] !== next?.[0] || corner[1] !== next[1];
    });
  });

export const anyOutline: fc.Arbitrary<XY[]> = fc.oneof(stars, skylines);

/** The loop of an outline's edges, each rising as said. */
export const loopOf = (corners: readonly XY[], runPerRise: (index: number) => number): RisingEdge[] =>
  corners.map((from, index) => ({
    from,
    to: corners[(index + 1) % corners.length] ?? from,
    steps: [{ fromHeightMm: 0, runPerRise: runPerRise(index) }],
  }));

export const areaOf = (corners: readonly (readonly number[])[]): number =>
  corners.reduce((sum, [x = 0, y = 0], index) => {
    const [nextX = 0, nextY = 0] = corners[(index + 1) % corners.length] ?? [];
    return sum + (x * nextY - nextX * y) / 2;
  }, 0);

import type { ElevationDrawing } from "../drawing/drawing";

/** How far what is drawn reaches, in whole nanometres: least and most, along and up. */
export function extentOf({ rectangles }: Pick<ElevationDrawing, "rectangles">) {
  const corners = rectangles.flatMap(({ xNm, yNm, widthNm, heightNm, points }) =>
    points && points.length > 0
      ? points.map((point) => [point.xNm, point.yNm] as const)
      : [[xNm, yNm] as const, [xNm + widthNm, yNm + heightNm] as const],
  );
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  return {
    // No zero of the other sign.
    fromNm: Math.min(...xs) + 0,
    toNm: Math.max(...xs),
    lowNm: Math.min(...ys) + 0,
    highNm: Math.max(...ys),
  };
}

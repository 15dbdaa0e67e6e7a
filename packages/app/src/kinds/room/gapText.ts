import { formatLength, type MeasuringSystem, type Point } from "@wide-porch/core";

/** Where a walk stands from its start, in both directions of the page. */
export function gapText(gap: Point | undefined, system: MeasuringSystem): string | undefined {
  if (!gap) return undefined;
  const across = `${formatLength(Math.abs(gap.xNm), system)} ${gap.xNm >= 0 ? "right of" : "left of"}`;
  const up = `${formatLength(Math.abs(gap.yNm), system)} ${gap.yNm >= 0 ? "above" : "below"}`;
  return `Now ${across} and ${up} the start`;
}

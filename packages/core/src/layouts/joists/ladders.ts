import type { Piece } from "../../drawing/piece";
import type { Nanometres } from "../../units";
import type { FloorPlan } from "./floorPlan";
import { cornersUV, levelStick } from "./stick";
import { type LadderBand, ladderBands } from "./strips";

/** Places of noggings along a ladder: at both ends and at their spacing. */
function rungs(lengthNm: Nanometres, spacingNm: Nanometres, thickNm: Nanometres): Nanometres[] {
  const gaps = Math.max(1, Math.ceil((lengthNm - thickNm) / spacingNm));
  return Array.from({ length: gaps + 1 }, (_, index) => Math.min(lengthNm - thickNm, index * spacingNm));
}

function ladderOf(plan: FloorPlan, { edgeId, v0, v1, span, inside }: LadderBand): Piece[] {
  const { joist, shape, choices } = plan;
  const t = joist.thicknessNm;
  const outer = inside === 1 ? { v0, v1: v0 + t } : { v0: v1 - t, v1 };
  // From the outer joist's inner face to the bay joist's outer face: the overhang less one joist.
  const between = inside === 1 ? { v0: v0 + t, v1 } : { v0, v1: v1 - t };
  const stick = (
    id: string,
    role: string,
    u0: Nanometres,
    u1: Nanometres,
    across: { v0: Nanometres; v1: Nanometres },
    cutLengthNm: Nanometres,
  ) => levelStick({ id, role, section: joist, corners: cornersUV({ u0, u1, ...across }), cutLengthNm }, shape);
  const long = span.to - span.from;
  const outerJoist = stick(`ladder-${edgeId}`, "ladder-joist", span.from, span.to, outer, long);
  if (between.v1 <= between.v0) return [outerJoist];
  const noggings = rungs(long, choices.ladderSpacing, t).map((at, index) =>
    stick(
      `ladder-${edgeId}-${index + 1}`,
      "ladder-nogging",
      span.from + at,
      span.from + at + t,
      between,
      between.v1 - between.v0,
    ),
  );
  return [outerJoist, ...noggings];
}

/** What carries a side that hangs over beside the joists: one outer joist and noggings to it from the bay, at their spacing. */
export const laddersOf = (plan: FloorPlan): Piece[] => ladderBands(plan).flatMap((band) => ladderOf(plan, band));

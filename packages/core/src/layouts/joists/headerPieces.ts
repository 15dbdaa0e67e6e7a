import type { Piece } from "../../drawing/piece";
import type { Span } from "../../joists/chords";
import { runsWithJoists } from "../../joists/shape";
import type { WithHeaders } from "./cutJoists";
import type { FloorPlan, LaidOpening } from "./floorPlan";
import { cornersUV, levelStick } from "./stick";

/** Between which faces a header lies: those of the opening, or of the joist along an edge that the opening lies at. */
export function headerFaces({ joist, shape }: FloorPlan, { area }: LaidOpening): Span {
  const t = joist.thicknessNm;
  const beside = shape.edges.filter(
    (line) =>
      runsWithJoists(line) && Math.min(line.from.u, line.to.u) < area.u1 && Math.max(line.from.u, line.to.u) > area.u0,
  );
  // Against the clock the inside lies above an edge that runs on along the joists, and below one that runs back.
  const low = beside.find(({ from, to }) => to.u > from.u && area.v0 - t < from.v + t && area.v0 >= from.v);
  const high = beside.find(({ from, to }) => to.u < from.u && area.v1 + t > from.v - t && area.v1 <= from.v);
  return { from: low ? low.from.v + t : area.v0, to: high ? high.from.v - t : area.v1 };
}

/** The headers of openings, ply by ply away from the opening. */
export function headerPieces(plan: FloorPlan, openings: readonly WithHeaders[]): Piece[] {
  const { joist, shape } = plan;
  const t = joist.thicknessNm;
  return openings.flatMap(({ laid, headers }) => {
    const { from, to } = headerFaces(plan, laid);
    return headers.flatMap(({ side, faceNm, plies }) =>
      Array.from({ length: plies }, (_, ply): Piece => {
        const out = side === "near" ? -1 : 1;
        const [a, b] = [faceNm + out * ply * t, faceNm + out * (ply + 1) * t];
        return levelStick(
          {
            id: `header-${laid.opening.id}-${side}-${ply + 1}`,
            role: "floor-header",
            section: joist,
            corners: cornersUV({ u0: Math.min(a, b), u1: Math.max(a, b), v0: from, v1: to }),
            cutLengthNm: to - from,
            openingId: laid.opening.id,
          },
          shape,
        );
      }),
    );
  });
}

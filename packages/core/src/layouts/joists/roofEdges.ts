import type { Piece } from "../../drawing/piece";
import { bearingOf, overhangOf, runsWithJoists } from "../../joists/shape";
import { sectionOf } from "../../kinds";
import { inStock, type Longest } from "./edges";
import type { FloorPlan } from "./floorPlan";
import { cornersUV, levelStick } from "./stick";

/** Wall plates that joists pass over where they hang out: as long as the bay they carry. */
export function roofPlatesOf(plan: FloorPlan, longest: Longest): Piece[] {
  const { shape, joist, bay, choices, context } = plan;
  const plate = sectionOf(context.sections, choices.plateSection);
  return shape.edges.flatMap((line): Piece[] => {
    const { edge, from, to } = line;
    if (runsWithJoists(line) || bearingOf(edge, choices) !== "free") return [];
    const inside = to.v < from.v ? 1 : -1;
    const middle = Math.round((from.u + to.u) / 2) + inside * overhangOf(edge);
    // It lies flat, its outer edge under where the wall stands.
    const [u0, u1] = inside === 1 ? [middle, middle + plate.depthNm] : [middle - plate.depthNm, middle];
    const [v0, v1] = [Math.max(bay.v0, Math.min(from.v, to.v)), Math.min(bay.v1, Math.max(from.v, to.v))];
    if (v1 <= v0) return [];
    const stretches = inStock(v1 - v0, longest("roof-plate", plate.id));
    return stretches.map(([start, end], index) =>
      levelStick(
        {
          id: `plate-${edge.id}-${index + 1}`,
          role: "roof-plate",
          section: plate,
          corners: cornersUV({ u0, u1, v0: v0 + start, v1: v0 + end }),
          cutLengthNm: end - start,
          topNm: -joist.depthNm,
          deepNm: plate.thicknessNm,
        },
        shape,
      ),
    );
  });
}

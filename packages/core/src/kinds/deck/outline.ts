import { headingFrom, leftOf, offsetEdges, rightOf } from "../../geometry";
import type { JoistEdge } from "../../joists/schema";
import type { JoistEdgeUV, UV } from "../../joists/shape";
import type { Nanometres } from "../../units";

const asPoint = ({ u, v }: UV) => ({ xNm: u, yNm: v });
const asUV = ({ xNm, yNm }: { readonly xNm: number; readonly yNm: number }): UV => ({
  u: Math.round(xNm),
  v: Math.round(yNm),
});

/** An outline against the clock with every edge moved out, or in, by its own distance. */
export function movedRing(
  edges: readonly JoistEdgeUV[],
  way: "out" | "in",
  byNm: (edge: JoistEdge) => Nanometres,
): JoistEdgeUV[] {
  const moved = offsetEdges(
    edges.map(({ edge, from, to }) => {
      const [start, end] = [asPoint(from), asPoint(to)];
      const heading = headingFrom(start, end) ?? { x: 1, y: 0 };
      // Against the clock the inside lies on the left.
      return { from: start, to: end, outward: way === "out" ? rightOf(heading) : leftOf(heading), byNm: byNm(edge) };
    }),
  );
  return edges.map(({ edge, from, to }, index) => {
    const side = moved[index];
    return side ? { edge, from: asUV(side.from), to: asUV(side.to) } : { edge, from, to };
  });
}

/** Whether something is left of an outline that was moved in: no edge of it has turned round. */
export const isLeft = (before: readonly JoistEdgeUV[], after: readonly JoistEdgeUV[]): boolean =>
  before.every(({ from, to }, index) => {
    const now = after[index];
    return (
      now !== undefined && (to.u - from.u) * (now.to.u - now.from.u) + (to.v - from.v) * (now.to.v - now.from.v) > 0
    );
  });

import { type NormalLine, type Point, type Polygon, whereLinesMeet } from "../../../geometry";
import { ownValue } from "../../../records/ownValue";
import { NM_PER_MM } from "../../../units";
import type { RoofEdgeOnPlan } from "../outline";
import type { RunsOn } from "./types";

/** Of an edge moved out: its outside is on the right. */
function lineOf({ from, to }: RoofEdgeOnPlan, outNm: number): NormalLine {
  const length = Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm) || 1;
  const [x, y] = [(to.yNm - from.yNm) / length, -(to.xNm - from.xNm) / length];
  return { normal: [x, y], offset: x * from.xNm + y * from.yNm + outNm };
}

/** Within a millionth of a turn they are one line. */
const PARALLEL = 1e-6;

function meet(a: NormalLine, b: NormalLine): Point | undefined {
  const met = whereLinesMeet(a, b, PARALLEL);
  return met && { xNm: Math.round(met[0]), yNm: Math.round(met[1]) };
}

/** An outline whose edges that run into another roof are moved out as far as they run on; the corners beside them go along. */
export function runOn(edges: readonly RoofEdgeOnPlan[], runsOnMm: RunsOn): readonly RoofEdgeOnPlan[] {
  if (Object.keys(runsOnMm).length === 0) return edges;
  const lines = edges.map((placed) => lineOf(placed, (ownValue(runsOnMm, placed.edge.id) ?? 0) * NM_PER_MM));
  const corners = edges.map(({ from }, index): Point => {
    const previous = (index + edges.length - 1) % edges.length;
    const moved = [index, previous].some((nth) => ownValue(runsOnMm, edges[nth]?.edge.id ?? "") !== undefined);
    const [a, b] = [lines[previous], lines[index]];
    return (moved && a && b && meet(a, b)) || from;
  });
  return edges.map(({ edge }, index) => {
    const from = corners[index] ?? { xNm: 0, yNm: 0 };
    return { edge, from, to: corners[(index + 1) % corners.length] ?? from };
  });
}

/** How far the corners of another outline lie beyond an edge, straight out from it; 0 where it lies nowhere before it. Millimetres. */
export function reachBeyond(placed: RoofEdgeOnPlan, outline: Polygon): number {
  const line = lineOf(placed, 0);
  const { from, to } = placed;
  const length = Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm) || 1;
  const [ax, ay] = [(to.xNm - from.xNm) / length, (to.yNm - from.yNm) / length];
  const sideways = outline.map(({ xNm, yNm }) => (xNm - from.xNm) * ax + (yNm - from.yNm) * ay);
  if (Math.max(...sideways) <= 0 || Math.min(...sideways) >= length) return 0;
  const beyond = outline.map(({ xNm, yNm }) => line.normal[0] * xNm + line.normal[1] * yNm - line.offset);
  return Math.max(0, ...beyond) / NM_PER_MM;
}

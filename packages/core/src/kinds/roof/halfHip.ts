import { type Nanometres, NM_PER_MM } from "../../units";
import { type RoofEdgeOnPlan, slopeOf } from "./outline";
import type { Roof, RoofEdge } from "./schema";

const HIGHEST_MM = 100_000;

/** How far a slope of the roof has come in at a height, level: by its pitch, and by the upper one past the break. */
function insetMm(roof: Roof, edge: RoofEdge, heightMm: number): number {
  if (edge.end !== "eave") return 0;
  const { pitch } = slopeOf(roof, edge);
  const breakMm = (roof.breakHeight.valueNm ?? Number.POSITIVE_INFINITY) / NM_PER_MM;
  const upper = roof.upperPitch.value ?? pitch;
  return Math.min(heightMm, breakMm) / pitch + Math.max(0, heightMm - breakMm) / upper;
}

/** How wide the gable at an edge is at a height over the plate: its length less what the slopes beside it have come in. */
export function gableWidthMm(roof: Roof, edges: readonly RoofEdgeOnPlan[], index: number, heightMm: number): number {
  const placed = edges[index];
  if (!placed) return 0;
  const { from, to } = placed;
  const [x, y] = [to.xNm - from.xNm, to.yNm - from.yNm];
  const lengthMm = Math.hypot(x, y) / NM_PER_MM;
  const beside = [edges[(index + edges.length - 1) % edges.length], edges[(index + 1) % edges.length]];
  const taken = beside.reduce((sum, other) => {
    if (!other) return sum;
    const [ox, oy] = [other.to.xNm - other.from.xNm, other.to.yNm - other.from.yNm];
    const sine = Math.abs(x * oy - y * ox) / (Math.hypot(x, y) * Math.hypot(ox, oy) || 1);
    return sine < 1e-6 ? sum : sum + insetMm(roof, other.edge, heightMm) / sine;
  }, 0);
  return lengthMm - taken;
}

/** From the plate to where a half-hip of a width begins to slope; endless where its gable never gets so narrow. */
export function heightForWidthMm(roof: Roof, edges: readonly RoofEdgeOnPlan[], index: number, widthMm: number): number {
  if (gableWidthMm(roof, edges, index, HIGHEST_MM) > widthMm) return Number.POSITIVE_INFINITY;
  let [low, high] = [0, HIGHEST_MM];
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    if (gableWidthMm(roof, edges, index, middle) > widthMm) low = middle;
    else high = middle;
  }
  return high < 1e-3 ? 0 : high;
}

/** Where a half-hip begins to slope, by whichever of its two figures is in force: the width where one is given. */
export function hipFromMm(roof: Roof, edges: readonly RoofEdgeOnPlan[], index: number): number {
  const edge = edges[index]?.edge;
  if (edge?.end !== "half-hip") return 0;
  const { hipFrom, hipWidth } = edge;
  if (hipWidth.valueNm === null) return (hipFrom.valueNm ?? 0) / NM_PER_MM;
  return heightForWidthMm(roof, edges, index, hipWidth.valueNm / NM_PER_MM);
}

export type HalfHip = { readonly heightNm: Nanometres; readonly widthNm: Nanometres };

/** Both figures of a half-hip, the one that is given and the one that follows; nothing while there is no outline, or no such gable. */
export function halfHipOf(roof: Roof, edges: readonly RoofEdgeOnPlan[], edgeId: string): HalfHip | undefined {
  const index = edges.findIndex(({ edge }) => edge.id === edgeId);
  const heightMm = hipFromMm(roof, edges, index);
  if (index < 0 || !Number.isFinite(heightMm)) return undefined;
  const widthMm = Math.max(0, gableWidthMm(roof, edges, index, heightMm));
  return { heightNm: Math.round(heightMm * NM_PER_MM), widthNm: Math.round(widthMm * NM_PER_MM) };
}

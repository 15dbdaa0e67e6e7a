import { formatLength, type MeasuringSystem } from "../units";
import type { OpenPoint } from "./partKind";
import { outlineOf, type WalkedEdge } from "./walkedOutline";

/** Where a walk round something does not end where it began. */
export function gapPoint(edges: readonly WalkedEdge[], system: MeasuringSystem): OpenPoint[] {
  const outline = outlineOf(edges);
  const last = edges[edges.length - 1];
  if (outline.ok || outline.why !== "gap" || !last) return [];
  const [along, across] = [outline.gap.xNm, outline.gap.yNm].map((nm) =>
    formatLength(Math.abs(Math.round(nm)), system),
  );
  const message = `The outline does not close: it ends ${along} along and ${across} across from where it began.`;
  return [{ path: `edges.${last.id}.length`, kind: "conflict", message }];
}

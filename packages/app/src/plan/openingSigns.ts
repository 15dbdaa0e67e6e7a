import type { PlanShape } from "@wide-porch/core";
import type { PlanFit, Px } from "./planFit";

const middle = (a: Px, b: Px): Px => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const text = ({ x, y }: Px): string => `${Math.round(x * 10) / 10} ${Math.round(y * 10) / 10}`;

/** A window's pane: a line along the middle of the wall. Its corners come as near, far, far outside, near outside. */
export function panePath({ points }: PlanShape, fit: PlanFit): string {
  const [near, far, farOut, nearOut] = points.map(fit.at);
  if (!near || !far || !farOut || !nearOut) return "";
  return `M${text(middle(near, nearOut))}L${text(middle(far, farOut))}`;
}

/** A door's leaf, open into the room it was typed in, and the quarter circle it swings. */
export function leafPath({ points }: PlanShape, fit: PlanFit): string {
  const [near, far, , nearOut] = points.map(fit.at);
  if (!near || !far || !nearOut) return "";
  const throughPx = Math.hypot(near.x - nearOut.x, near.y - nearOut.y);
  if (throughPx === 0) return "";
  const leafPx = Math.hypot(far.x - near.x, far.y - near.y);
  const tip = {
    x: near.x + ((near.x - nearOut.x) / throughPx) * leafPx,
    y: near.y + ((near.y - nearOut.y) / throughPx) * leafPx,
  };
  const turn = (tip.x - near.x) * (far.y - near.y) - (tip.y - near.y) * (far.x - near.x) > 0 ? 1 : 0;
  return `M${text(near)}L${text(tip)}A${leafPx} ${leafPx} 0 0 ${turn} ${text(far)}`;
}

import type { SheetDimensions } from "../../assemblies";
import type { Nanometres } from "../../units";
import type { LaidJoists } from "./layJoists";
import { type PanelStart, panelStart, triedStart } from "./panels";

export type TriedStart = PanelStart & { readonly bought: number; readonly loose: number };

const CORNERS = ["start-near", "start-far", "end-near", "end-far"] as const;
/** Panels that are laid over all tries. */
const MOST_LAID = 120_000;
/** Rows of the first course that are tried, as shares of a panel's width. */
const ROW_SHARES = 8;

/** Starts worth trying: from each corner by whole spacings of the joists, with a first row of an eighth, a quarter and so on. */
function starts({ plan }: LaidJoists, size: SheetDimensions): PanelStart[] {
  const { joistSpacing, panelTongue } = plan.choices;
  const long = Math.max(size.widthNm, size.heightNm);
  const wide = Math.min(size.widthNm, size.heightNm) - panelTongue;
  const shifts: Nanometres[] = [];
  for (let at = 0; at < long; at += joistSpacing) shifts.push(at);
  const rows = Array.from({ length: ROW_SHARES }, (_, index) => Math.round((wide * index) / ROW_SHARES));
  return CORNERS.flatMap((corner) => shifts.flatMap((shiftNm) => rows.map((rowNm) => ({ shiftNm, rowNm, corner }))));
}

/** Whether one start is to be preferred: fewer panels, then fewer joints off a joist. */
const isBetter = (a: TriedStart, b: TriedStart): boolean =>
  a.bought < b.bought || (a.bought === b.bought && a.loose < b.loose);

/**
 * The start of the panels that takes the fewest, with no more joints off a joist than they have as they lie; as they lie where none
 * is better. Never worse than the plain corner.
 */
export function bestStart(
  laid: LaidJoists,
  size: SheetDimensions,
): { readonly now: TriedStart; readonly best: TriedStart } {
  const tried = (start: PanelStart): TriedStart => ({ ...start, ...triedStart(laid.plan, laid.joists, size, start) });
  const now = tried(panelStart(laid.plan));
  let best = now;
  const all = starts(laid, size);
  // Over a very large floor not every start is tried: who waits is answered about as soon as over a small one.
  const step = Math.ceil((all.length * Math.max(1, now.bought)) / MOST_LAID);
  for (const start of all.filter((_, index) => index % step === 0)) {
    const one = tried(start);
    if (one.loose <= now.loose && isBetter(one, best)) best = one;
  }
  return { now, best };
}

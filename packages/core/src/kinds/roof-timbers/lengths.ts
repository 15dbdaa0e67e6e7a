import type { Nanometres } from "../../units";
import type { ListedTimber, RoofTimbers, TimberEntry } from "./schema";

const LEVEL: ReadonlySet<ListedTimber> = new Set(["ridge", "ceiling-joist", "collar-tie"]);
const DIAGONAL: ReadonlySet<ListedTimber> = new Set(["hip-rafter", "valley-rafter"]);

/**
 * The pitch of a piece itself, rise over run; nothing for what lies level or while none was entered. Hips and valleys without one of their
 * own are those of a square corner between slopes of the list's pitch: the run is √2 as long for the same rise.
 */
export function pitchOfEntry({ role, pitch }: TimberEntry, list: Pick<RoofTimbers, "pitch">): number | undefined {
  if (LEVEL.has(role)) return 0;
  if (pitch.value !== null) return pitch.value;
  if (list.pitch.value === null) return undefined;
  return DIAGONAL.has(role) ? list.pitch.value / Math.SQRT2 : list.pitch.value;
}

/** Along the slope: on plan × secant. */
export const trueLengthNm = (planNm: Nanometres, pitch: number): Nanometres =>
  Math.round(planNm * Math.hypot(1, pitch));

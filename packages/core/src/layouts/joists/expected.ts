import type { JoistChoices } from "../../joists/choices";
import type { Joisted } from "../../joists/schema";
import { joistShape, reachOf } from "../../joists/shape";
import type { Nanometres } from "../../units";

/** More pieces than any floor of a house has: a slip of the unit lays millions. */
export const MOST_JOIST_PIECES = 20_000;

/** Rows of blocking in a span are at most so many. */
const MOST_ROWS = 3;

const every = (lengthNm: Nanometres, spacingNm: Nanometres): number => (spacingNm === 0 ? 0 : lengthNm / spacingNm + 1);

/** About how many pieces joists and all that goes with them will come to, before any is placed. Never much fewer than there are. */
export function expectedPieces(part: Joisted, choices: JoistChoices): number {
  const shape = joistShape(part);
  if (!shape) return 0;
  const { u0, u1, v0, v1 } = reachOf(shape.ring);
  const [long, wide] = [u1 - u0, v1 - v0];
  const lines =
    every(wide, choices.joistSpacing) + part.edges.length + 4 * part.openings.length + 2 * part.doubled.length;
  const supports = part.supports.length + (part.found?.supports.length ?? 0);
  const lengths = lines * (supports + 1 + part.openings.length);
  const blocks = lines * ((supports + 1) * MOST_ROWS + supports + every(long, choices.noggingEvery));
  const beams = part.supports.length + part.edges.length;
  const posts = 3 * part.spots.length + 3 * beams * every(Math.max(long, wide), choices.postSpacing);
  const straps = 3 * part.edges.length * every(long, choices.strapSpacing);
  const ladders = part.edges.length * every(Math.max(long, wide), choices.ladderSpacing);
  return lengths * 4 + blocks + posts + straps + ladders;
}

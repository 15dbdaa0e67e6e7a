import type { Span } from "../../joists/chords";
import type { Nanometres } from "../../units";

/** Lengths of one ply of a beam, and how many of its joints lie over no post. */
export type PlyLengths = { readonly lengths: readonly Span[]; readonly loose: number };

/** No length of a ply is less than so much of what is sold: a post at the end of a beam is no place for a joint. */
const LEAST_SHARE = 0.25;

/**
 * A ply of a beam in lengths that are sold, its joints over posts; every other ply begins with a short one, so that joints of two do not lie
 * side by side. Where no post is within a length that is sold, it ends where that does.
 */
export function overPosts(
  lengthNm: Nanometres,
  soldNm: Nanometres,
  postsAt: readonly Nanometres[],
  ply: number,
): PlyLengths {
  const lengths: Span[] = [];
  const leastNm = soldNm * LEAST_SHARE;
  let loose = 0;
  let at = 0;
  while (lengthNm - at > soldNm) {
    const within = postsAt.filter((post) => post - at >= leastNm && post - at <= soldNm && lengthNm - post >= leastNm);
    const last = within[within.length - 1] ?? at + soldNm;
    const short = ply % 2 === 1 && lengths.length === 0 ? within[within.length - 2] : undefined;
    const next = short ?? last;
    if (within.length === 0) loose += 1;
    lengths.push({ from: at, to: next });
    at = next;
  }
  return { lengths: [...lengths, { from: at, to: lengthNm }], loose };
}

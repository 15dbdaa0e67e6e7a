import type { Point } from "../geometry/point";
import { type Rectangle, right, top } from "../geometry/rectangle";
import type { Nanometres } from "../units";
import { heightAt, type Profile } from "./profile";

/** A piece on a face, with its corners where a sloped top cuts it. */
export type CutPiece = Rectangle & { readonly points?: readonly Point[] | undefined };

/** The piece with its top cut to the wall's, where that runs through it. It is bought and nested as the rectangle. */
export function cutToProfile(profile: Profile, piece: Rectangle): CutPiece {
  const topNm = (xNm: Nanometres) => Math.max(piece.yNm, Math.min(top(piece), heightAt(profile, xNm)));
  const places = [piece.xNm, ...breaksWithin(profile, piece), right(piece)];
  if (places.every((xNm) => topNm(xNm) === top(piece))) return piece;
  const tops = standingOver(
    piece.yNm,
    places.map((xNm) => ({ xNm, yNm: topNm(xNm) })),
  );
  const feet = [tops[0], tops[tops.length - 1]].flatMap((end) => (end ? [{ xNm: end.xNm, yNm: piece.yNm }] : []));
  // Where the top comes down to the foot, the two are one corner.
  return { ...piece, points: [...feet, ...tops.toReversed().filter((each) => each.yNm > piece.yNm)] };
}

/** Without the ends that have nothing over the foot: a corner is where the top begins to rise from it. */
function standingOver(footNm: Nanometres, tops: readonly Point[]): readonly Point[] {
  const rises = tops.map((each) => each.yNm > footNm);
  const [first, last] = [rises.indexOf(true), rises.lastIndexOf(true)];
  return first < 0 ? tops : tops.slice(Math.max(0, first - 1), last + 2);
}

/** Where the wall's top turns over a piece, or goes in or out of it through its upper or lower edge. */
function breaksWithin(profile: Profile, piece: Rectangle): Nanometres[] {
  const found: Nanometres[] = [];
  for (const [index, to] of profile.entries()) {
    const from = profile[index - 1];
    found.push(to.xNm);
    if (!from || from.yNm === to.yNm) continue;
    for (const edgeNm of [piece.yNm, top(piece)]) {
      const share = (edgeNm - from.yNm) / (to.yNm - from.yNm);
      if (share > 0 && share < 1) found.push(Math.round(from.xNm + share * (to.xNm - from.xNm)));
    }
  }
  return found.filter((xNm) => xNm > piece.xNm && xNm < right(piece)).toSorted((a, b) => a - b);
}

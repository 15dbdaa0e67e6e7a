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
  const foot = [
    { xNm: piece.xNm, yNm: piece.yNm },
    { xNm: right(piece), yNm: piece.yNm },
  ];
  return { ...piece, points: [...foot, ...places.toReversed().map((xNm) => ({ xNm, yNm: topNm(xNm) }))] };
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

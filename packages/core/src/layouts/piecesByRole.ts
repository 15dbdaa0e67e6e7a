import type { Piece } from "../drawing/piece";

/** Pieces by what they are, each role's in the order they were placed. */
export function piecesByRole(pieces: readonly Piece[]): ReadonlyMap<string, readonly Piece[]> {
  const byRole = new Map<string, Piece[]>();
  for (const piece of pieces) {
    const same = byRole.get(piece.role);
    if (same) same.push(piece);
    else byRole.set(piece.role, [piece]);
  }
  return byRole;
}

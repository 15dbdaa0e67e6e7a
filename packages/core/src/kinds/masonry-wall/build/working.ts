import { isCourse, type Piece } from "../../../drawing/piece";
import type { RoleWorking } from "../../../layouts";

/** How the count of a role came to be: as many as are placed; undefined for what is asked in another way. */
export function masonryWorking(role: string, pieces: readonly Piece[]): RoleWorking | undefined {
  const own = pieces.filter((piece) => piece.role === role);
  if (own.length === 0) return undefined;
  const count = own.reduce((sum, piece) => sum + (isCourse(piece) ? piece.count : 1), 0);
  return { formula: "as many as are laid out", withNumbers: `${count} laid out`, steps: [], from: [] };
}

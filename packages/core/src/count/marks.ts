import { isFraming } from "../drawing/piece";
import { roleOf } from "../kinds";
import type { PartCount } from "./partCount";

/**
 * A mark for each stick, by the part and piece it is: `2-S1`. The number before is the part's place among those counted;
 * pieces of one role and one length share a mark, as they can stand for each other.
 */
export function marksOf(counts: readonly PartCount[]): ReadonlyMap<string, string> {
  const marks = new Map<string, string>();
  const counted = counts.filter((count) => count.pieces.length > 0);
  for (const [index, { partId, pieces }] of counted.entries()) {
    const lengths = new Map<string, number[]>();
    for (const piece of pieces) {
      if (!isFraming(piece)) continue;
      const known = lengths.get(piece.role) ?? [];
      if (!known.includes(piece.cutLengthNm)) known.push(piece.cutLengthNm);
      lengths.set(piece.role, known);
      const number = known.indexOf(piece.cutLengthNm) + 1;
      marks.set(`${partId}/${piece.id}`, `${index + 1}-${roleOf(piece.role)?.mark ?? ""}${number}`);
    }
  }
  return marks;
}

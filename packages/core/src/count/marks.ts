import { isFraming } from "../layouts/piece";
import type { FramingRole } from "../parts";
import type { PartCount } from "./partCount";

/** One or two letters for a role, as carpenters chalk them on the timber. */
const LETTERS: Record<FramingRole, string> = {
  "bottom-plate": "BP",
  "treated-plate": "TB",
  "top-plate": "TP",
  "cap-plate": "CP",
  stud: "S",
  "corner-stud": "C",
  "meeting-stud": "M",
  "ladder-block": "L",
  king: "K",
  jack: "J",
  header: "H",
  "header-packing": "HP",
  "flat-plate": "FP",
  sill: "SL",
  "cripple-above": "CA",
  "cripple-below": "CB",
  blocking: "B",
};

/**
 * A mark for each stick, by the part and piece it is: `2-S1`. The number before is the part's place among those counted;
 * pieces of one role and one length share a mark, as they can stand for each other.
 */
export function marksOf(counts: readonly PartCount[]): ReadonlyMap<string, string> {
  const marks = new Map<string, string>();
  const counted = counts.filter((count) => count.pieces.length > 0);
  for (const [index, { partId, pieces }] of counted.entries()) {
    const lengths = new Map<FramingRole, number[]>();
    for (const piece of pieces) {
      if (!isFraming(piece)) continue;
      const known = lengths.get(piece.role) ?? [];
      if (!known.includes(piece.cutLengthNm)) known.push(piece.cutLengthNm);
      lengths.set(piece.role, known);
      const number = known.indexOf(piece.cutLengthNm) + 1;
      marks.set(`${partId}/${piece.id}`, `${index + 1}-${LETTERS[piece.role]}${number}`);
    }
  }
  return marks;
}

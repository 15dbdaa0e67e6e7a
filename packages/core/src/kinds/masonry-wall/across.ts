import type { Across, Piece } from "../../drawing/piece";
import type { PartContext } from "../../parts/partKind";
import { leavesOf, thicknessOf } from "./leaves";
import type { MasonryWall } from "./schema";

/** Which leaf a piece lies in, and how deep. What is in neither goes through from face to face. */
export function acrossMasonryWall(wall: MasonryWall, piece: Piece, context: PartContext): Across {
  const allNm = thicknessOf(wall, context);
  const leaf = piece.role.startsWith("inner-") || piece.id.startsWith("lintel-inner") ? "inner" : "outer";
  const inLeaf = /^(outer|inner)-|^lintel|^stone/.test(piece.role) || piece.id.startsWith("damp-course");
  const plan = leavesOf(wall, context).find((each) => each.leaf === leaf);
  if (!plan || !inLeaf) return { nearNm: -allNm / 2, deepNm: allNm };
  return { nearNm: plan.nearNm, deepNm: plan.thicknessNm };
}

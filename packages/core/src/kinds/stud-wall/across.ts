import { type Across, isFraming, isSheet, type Piece } from "../../drawing/piece";
import type { PartContext } from "../../parts/partKind";
import { sectionOf } from "../../parts/section";
import { millimetres, type Nanometres } from "../../units";
import type { StudWall } from "./schema";
import { framingOf } from "./slot";

const SHEET_NM: Nanometres = millimetres(12);

/** How a piece lies across its wall: boards on their side of it, headers flush with its near face. */
export function acrossStudWall(wall: StudWall, piece: Piece, { sections, system }: PartContext): Across {
  const { depthNm } = sectionOf(sections, framingOf(wall, system).studSize);
  if (isSheet(piece)) {
    const outward = piece.role === "board-near" ? -1 : 1;
    const offNm = depthNm / 2 + (piece.layer - 1) * SHEET_NM;
    return { nearNm: outward > 0 ? offNm : -offNm - SHEET_NM, deepNm: SHEET_NM };
  }
  if (!isFraming(piece)) return { nearNm: -depthNm / 4, deepNm: depthNm / 2 };
  const { thicknessNm, depthNm: ownNm } = sectionOf(sections, piece.sectionId);
  if (piece.role === "header" || piece.role === "header-packing") {
    return { nearNm: -depthNm / 2 + (piece.behind ?? 0) * thicknessNm, deepNm: thicknessNm };
  }
  if (piece.flat) return { nearNm: -depthNm / 2, deepNm: thicknessNm };
  return { nearNm: -ownNm / 2, deepNm: ownNm };
}

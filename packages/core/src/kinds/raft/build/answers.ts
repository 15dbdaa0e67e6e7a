import { positiveNm, type Value } from "../../../assemblies";
import { isBar, isLayer, isSheet, type Piece } from "../../../drawing/piece";
import { boundsOf, type Polygon, perimeterNm, polygonArea } from "../../../geometry";
import { barSize } from "../../../ground";
import type { MeshSheet } from "../../../ground/meshSheets";
import { piecesByRole } from "../../../layouts";
import { areaOf, NM_PER_M, toMetres } from "../../../units";
import { lappedOver } from "./mesh";

type RaftFacts = { readonly pieces: readonly Piece[]; readonly polygon: Polygon; readonly mesh: MeshSheet };

/** What the functions of `GROUND_FUNCTIONS` come to. */
export function groundAnswers({ pieces, polygon, mesh }: RaftFacts) {
  const byRole = piecesByRole(pieces);
  const sum = (roles: readonly Value[], of: (piece: Piece) => number): number => {
    let total = 0;
    for (const role of roles) for (const piece of byRole.get(String(role)) ?? []) total += of(piece);
    return total;
  };
  return (name: string, args: readonly Value[]): number | undefined => {
    switch (name) {
      case "volume":
        return sum(args, (piece) => (isLayer(piece) ? piece.volumeM3 : 0));
      case "surface":
        return sum(args, (piece) => (isLayer(piece) ? piece.areaM2 : 0));
      case "barMass":
        return sum(args, (piece) =>
          isBar(piece) ? barSize(piece.itemId).kgPerMetre * toMetres(piece.cutLengthNm) : 0,
        );
      case "lappedUnder":
        return lappedUnder(polygon, args);
      case "sheets":
        return new Set((byRole.get(String(args[0])) ?? []).flatMap((each) => (isSheet(each) ? [each.sheetNumber] : [])))
          .size;
      case "cover":
        return sum(args, (piece) => (isSheet(piece) ? areaOf(piece.widthNm, piece.heightNm) : 0));
      case "meshSheetArea":
        return areaOf(mesh.lengthNm, mesh.widthNm);
      default:
        return undefined;
    }
  };
}

/** Rolls side by side over the shorter way of a slab, each over the last by a lap, turned up all round. */
function lappedUnder(polygon: Polygon, [roll, lap, upturn]: readonly Value[]): number {
  const rollNm = positiveNm(roll);
  const lapNm = Math.round(Number(lap) * NM_PER_M);
  const upNm = Math.round(Number(upturn) * NM_PER_M);
  const bounds = boundsOf(polygon);
  if (rollNm === undefined || !bounds || !(lapNm >= 0) || !(upNm >= 0) || lapNm >= rollNm) return Number.NaN;
  const sides = [bounds.max.xNm - bounds.min.xNm, bounds.max.yNm - bounds.min.yNm];
  const [acrossNm, alongNm] = [Math.min(...sides) + 2 * upNm, Math.max(...sides) + 2 * upNm];
  const laps = Math.max(0, lappedOver(acrossNm, rollNm, lapNm).length - 1);
  return (
    polygonArea(polygon) + areaOf(perimeterNm(polygon), upNm) + 4 * toMetres(upNm) ** 2 + laps * areaOf(alongNm, lapNm)
  );
}

import { isBar, isLayer, isSheet, type Piece } from "../../../drawing/piece";
import type { RoleWorking } from "../../../layouts/layout";
import type { PartContext } from "../../../parts/partKind";
import { formatArea, formatLength, formatVolume } from "../../../units";

/** Where more kinds of piece than this make up a number the rest are told together. */
const MOST_STEPS = 12;

/** How a role came to its number: each beam's bars by their length, each layer by its volume. */
export function groundWorking(pieces: readonly Piece[], { system }: PartContext): RoleWorking | undefined {
  const [first] = pieces;
  if (!first) return undefined;
  const groups = new Map<string, number>();
  const add = (label: string) => groups.set(label, (groups.get(label) ?? 0) + 1);
  if (isSheet(first)) {
    for (const { widthNm, heightNm } of pieces)
      add(`pieces of ${formatLength(widthNm, system)} × ${formatLength(heightNm, system)}`);
    const sheets = new Set(pieces.flatMap((each) => (isSheet(each) ? [each.sheetNumber] : []))).size;
    return of(
      "sheets lapped over the slab, cut from whole ones and their cuttings",
      `${pieces.length} pieces out of ${sheets} sheets`,
      groups,
    );
  }
  if (isLayer(first)) {
    const volume = pieces.reduce((sum, each) => sum + (isLayer(each) ? each.volumeM3 : 0), 0);
    const area = pieces.reduce((sum, each) => sum + (isLayer(each) ? each.areaM2 : 0), 0);
    for (const piece of pieces)
      if (isLayer(piece)) add(`${formatArea(piece.areaM2, system)} × ${formatLength(heightOf(piece), system)}`);
    return of("each area × its height", `${formatArea(area, system)}, ${formatVolume(volume, system)}`, groups);
  }
  for (const piece of pieces) {
    if (isBar(piece)) add(`${piece.of}: ${formatLength(piece.cutLengthNm, system)} each`);
    else add("placed");
  }
  return of("counted as placed", `${pieces.length}`, groups);
}

const heightOf = ({ areaM2, volumeM3 }: { readonly areaM2: number; readonly volumeM3: number }): number =>
  areaM2 === 0 ? 0 : Math.round((volumeM3 / areaM2) * 1e9);

function of(formula: string, withNumbers: string, groups: ReadonlyMap<string, number>): RoleWorking {
  const steps = [...groups].slice(0, MOST_STEPS).map(([label, count]) => ({ label, value: String(count) }));
  const rest = [...groups].slice(MOST_STEPS).reduce((sum, [, count]) => sum + count, 0);
  const others = rest > 0 ? [{ label: "others", value: String(rest) }] : [];
  return { formula, withNumbers, steps: [...steps, ...others], from: [] };
}

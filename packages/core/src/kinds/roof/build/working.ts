import type { FramingPiece } from "../../../drawing/piece";
import type { PartContext } from "../../../kinds";
import type { RoleWorking } from "../../../layouts/layout";
import { formatLength } from "../../../units";

/** Its length; of a tapered strip its two heights as well, of one that is as high all along its height. */
function lengthWords({ cutLengthNm, heightsNm }: FramingPiece, say: (nm: number) => string): string {
  if (!heightsNm) return say(cutLengthNm);
  const { lowNm, highNm } = heightsNm;
  return lowNm === highNm
    ? `${say(cutLengthNm)}, ${say(highNm)} high`
    : `${say(cutLengthNm)}, from ${say(lowNm)} to ${say(highNm)} high`;
}

/** How many of one length there are, longest first: plan, true and cut length side by side. */
export function roofWorking(pieces: readonly FramingPiece[], { system }: PartContext): RoleWorking | undefined {
  if (pieces.length === 0) return undefined;
  const say = (nm: number) => formatLength(nm, system);
  const groups = new Map<string, { piece: FramingPiece; count: number }>();
  for (const piece of pieces) {
    const text = lengthWords(piece, say);
    const known = groups.get(text);
    groups.set(text, { piece: known?.piece ?? piece, count: (known?.count ?? 0) + 1 });
  }
  const ordered = [...groups.values()].toSorted((a, b) => b.piece.cutLengthNm - a.piece.cutLengthNm);
  return {
    formula: "each placed, and counted",
    withNumbers: `${ordered.map(({ count }) => count).join(" + ")} = ${pieces.length}`,
    steps: ordered.map(({ piece, count }) => ({
      label: piece.cut
        ? `${say(piece.cutLengthNm)}: on plan ${say(piece.cut.runNm)}, along the slope ${say(piece.cut.lineNm)}, tail ${say(piece.cut.tailNm)}`
        : lengthWords(piece, say),
      value: String(count),
    })),
    from: [],
  };
}

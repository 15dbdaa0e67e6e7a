import type { CountLine } from "../count";
import type { Nanometres } from "../units";
import type { NeededPiece } from "./cutting/cutProblem";

/** Every piece that lines ask to be cut, by the part and the piece it is drawn as. */
export const neededPieces = (lines: readonly CountLine[]): NeededPiece[] =>
  lines.flatMap((line) =>
    line.cutLengthsNm.map((lengthNm, index) => ({
      id: `${line.partId}/${line.pieceIds[index] ?? `${line.key}/${index + 1}`}`,
      lengthNm,
    })),
  );

/** Pieces to spare for a share of waste: of the commonest length, so many that the share is reached. */
export function sparePieces(lines: readonly CountLine[], wasteOf: (line: CountLine) => number): NeededPiece[] {
  const wanted = lines.reduce((sum, line) => sum + (line.cutLengthsNm.length * wasteOf(line)) / 100, 0);
  const count = Math.ceil(wanted - 1e-9);
  if (count <= 0) return [];
  const times = new Map<Nanometres, number>();
  for (const lengthNm of lines.flatMap((line) => line.cutLengthsNm))
    times.set(lengthNm, (times.get(lengthNm) ?? 0) + 1);
  const [commonest] = [...times].toSorted(([, a], [, b]) => b - a)[0] ?? [];
  if (commonest === undefined) return [];
  return Array.from({ length: count }, (_, index) => ({ id: `spare/${index + 1}`, lengthNm: commonest }));
}

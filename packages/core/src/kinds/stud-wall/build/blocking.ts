import type { FramingPiece } from "../../../drawing/piece";
import { type Rectangle, right, top } from "../../../geometry/rectangle";
import { type Nanometres, spacesIn } from "../../../units";
import { openingRectangle } from "../..";
import { type Frame, lowestUndersideOf, lying, undersideOf } from "./frame";

const STANDING: ReadonlySet<FramingPiece["role"]> = new Set([
  "stud",
  "king",
  "jack",
  "corner-stud",
  "meeting-stud",
  "cripple-above",
  "cripple-below",
]);

/** Rows of blocking: one for each whole stretch of stud height, evenly up the tallest stud. */
export function blockingRows(frame: Frame): Nanometres[] {
  const everyNm = frame.framing.blockingEvery;
  if (everyNm === 0) return [];
  const tallestNm = Math.max(...frame.profile.map((point) => undersideOf(frame, point.xNm))) - frame.footNm;
  const rows = Math.max(0, spacesIn(tallestNm, everyNm) - 1);
  return Array.from({ length: rows }, (_, row) =>
    Math.round(frame.footNm + ((row + 1) * tallestNm) / (rows + 1) - frame.thicknessNm / 2),
  );
}

/** Blocks between neighbouring uprights on each row, but across openings and where something lies already. */
export function blocking(frame: Frame, pieces: readonly FramingPiece[]): FramingPiece[] {
  const rows = blockingRows(frame);
  if (rows.length === 0) return [];
  const standing = pieces.filter((piece) => STANDING.has(piece.role)).toSorted((a, b) => a.xNm - b.xNm);
  // Under sloped plates, the underside says how high a block can be; the rectangle round them says nothing.
  const inTheWay: Rectangle[] = [
    ...pieces.filter((piece) => !STANDING.has(piece.role) && piece.points === undefined),
    ...frame.wall.openings.map(openingRectangle),
  ];
  return rows.flatMap((yNm, row) => blocksOnRow(frame, { yNm, row }, standing, inTheWay));
}

function blocksOnRow(
  frame: Frame,
  { yNm, row }: { readonly yNm: Nanometres; readonly row: number },
  standing: readonly FramingPiece[],
  inTheWay: readonly Rectangle[],
): FramingPiece[] {
  const topNm = yNm + frame.thicknessNm;
  const onRow = inTheWay.filter((other) => other.yNm < topNm && top(other) > yNm);
  const isFree = (fromNm: Nanometres, toNm: Nanometres) =>
    lowestUndersideOf(frame, fromNm, toNm) >= topNm &&
    !onRow.some((other) => other.xNm < toNm && right(other) > fromNm);
  const blocks: FramingPiece[] = [];
  let fromNm: Nanometres | undefined;
  let index = 0;
  for (const upright of standing) {
    if (upright.yNm > yNm || top(upright) < topNm) continue;
    const toNm = upright.xNm;
    if (fromNm !== undefined && toNm - fromNm >= frame.thicknessNm && isFree(fromNm, toNm)) {
      blocks.push(lying(frame, { role: "blocking", id: `blocking-${row + 1}-${index}`, yNm, fromNm, toNm }));
    }
    fromNm = right(upright);
    index += 1;
  }
  return blocks;
}

import { type BarPiece, type BarShape, isBar, type Piece } from "../drawing/piece";
import { type Nanometres, toMetres } from "../units";
import { barSize } from "./bars";

/** Bars alike in size, shape and measures, under one mark. */
export type ScheduledBar = {
  readonly mark: string;
  readonly size: string;
  readonly shape: BarShape;
  readonly legsNm: readonly Nanometres[];
  readonly cutLengthNm: Nanometres;
  readonly count: number;
  readonly massKg: number;
  /** What they are tied into: beams, lines, toes. */
  readonly members: readonly string[];
  readonly pieceIds: readonly string[];
};

/** Chairs are bought, not bent. */
const isScheduled = (piece: Piece): piece is BarPiece => isBar(piece) && piece.role !== "chair-row";

/** A bar schedule: marks in the order of what is placed, alike ones under one mark wherever they are. `times` is how often the part is made. */
export function barSchedule(pieces: readonly Piece[], times = 1): ScheduledBar[] {
  const groups = new Map<string, BarPiece[]>();
  for (const bar of pieces.filter(isScheduled)) {
    const key = [bar.itemId, bar.shape, bar.cutLengthNm, ...bar.legsNm].join(" ");
    const same = groups.get(key);
    if (same) same.push(bar);
    else groups.set(key, [bar]);
  }
  return [...groups.values()].flatMap((bars, index): ScheduledBar[] => {
    const [first] = bars;
    if (!first) return [];
    const count = bars.length * times;
    const { words, kgPerMetre } = barSize(first.itemId);
    return [
      {
        mark: String(index + 1).padStart(2, "0"),
        size: words,
        shape: first.shape,
        legsNm: first.legsNm,
        cutLengthNm: first.cutLengthNm,
        count,
        massKg: kgPerMetre * toMetres(first.cutLengthNm) * count,
        members: [...new Set(bars.map(({ of }) => of))],
        pieceIds: bars.map(({ id }) => id),
      },
    ];
  });
}

/** What the bars of each size weigh together, kg. */
export function massBySize(
  schedule: readonly ScheduledBar[],
): readonly { readonly size: string; readonly massKg: number }[] {
  const sizes = [...new Set(schedule.map(({ size }) => size))];
  return sizes.map((size) => ({
    size,
    massKg: schedule.filter((each) => each.size === size).reduce((sum, { massKg }) => sum + massKg, 0),
  }));
}

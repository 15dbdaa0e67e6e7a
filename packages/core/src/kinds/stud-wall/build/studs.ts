import type { FramingPiece } from "../../../drawing/piece";
import type { Nanometres } from "../../../units";
import { type Frame, uprightToPlates } from "./frame";

/** How the stud count came about; the parts add up to the number of studs drawn. */
export type StudTally = {
  /** Positions at the spacing with one at each end: spaces + 1. */
  readonly layoutPositions: number;
  /** Positions that would stand in the end stud, which is already counted. */
  readonly onEndStud: number;
  /** Positions inside an opening or on its jambs. */
  readonly atOpenings: number;
  /** Positions where a corner's or a meeting wall's stud stands already. */
  readonly atCorners: number;
  /** Studs under a break of the top, where no layout stud stands. */
  readonly atBreaks: number;
};

type Stretch = { readonly fromNm: Nanometres; readonly toNm: Nanometres };

const touches = (xNm: Nanometres, widthNm: Nanometres, { fromNm, toNm }: Stretch): boolean =>
  xNm < toNm && xNm + widthNm > fromNm;

/**
 * Studs: one in each end, and one centred on each layout position that is free. `taken` is where corner and meeting
 * studs stand. Under a break of a sloped top stands one too (common practice: the plates join there).
 */
export function studs(frame: Frame, taken: readonly Stretch[]): { pieces: FramingPiece[]; tally: StudTally } {
  const { thicknessNm, lengthNm } = frame;
  const half = Math.floor(thicknessNm / 2);
  const lefts = frame.layoutCentresNm.map((centreNm) => centreNm - half);
  const clearOfEnds = lefts.filter((xNm) => xNm >= thicknessNm && xNm + thicknessNm <= lengthNm - thicknessNm);
  const jambs = frame.openings.map((o) => ({ fromNm: o.outerLeftNm, toNm: o.outerRightNm }));
  const clearOfOpenings = clearOfEnds.filter((xNm) => !jambs.some((jamb) => touches(xNm, thicknessNm, jamb)));
  const free = clearOfOpenings.filter((xNm) => !taken.some((stretch) => touches(xNm, thicknessNm, stretch)));
  const breaks = frame.profile
    .slice(1, -1)
    .map((point) => point.xNm - half)
    .filter((xNm) => xNm >= thicknessNm && xNm + thicknessNm <= lengthNm - thicknessNm)
    .filter((xNm) => !free.some((other) => Math.abs(other - xNm) < thicknessNm))
    .filter((xNm) => ![...jambs, ...taken].some((stretch) => touches(xNm, thicknessNm, stretch)));
  const places = [0, ...[...free, ...breaks].toSorted((a, b) => a - b), lengthNm - thicknessNm];
  return {
    pieces: places.map((xNm, index) =>
      uprightToPlates(frame, { role: "stud", id: `stud-${index + 1}`, xNm, fromNm: frame.footNm }),
    ),
    tally: {
      layoutPositions: lefts.length + 2,
      onEndStud: lefts.length - clearOfEnds.length,
      atOpenings: clearOfEnds.length - clearOfOpenings.length,
      atCorners: clearOfOpenings.length - free.length,
      atBreaks: breaks.length,
    },
  };
}

import type { FramingPiece } from "../piece";
import { type Frame, upright } from "./frame";

/** How the stud count came about; the parts add up to the number of studs drawn. */
export type StudTally = {
  /** Positions at the spacing with one at each end: spaces + 1. */
  readonly layoutPositions: number;
  /** Positions that would stand in the end stud, which is already counted. */
  readonly onEndStud: number;
  /** Positions inside an opening or on its jambs. */
  readonly atOpenings: number;
};

/** Studs: one in each end, and one centred on each layout position that is free. */
export function studs(frame: Frame): { pieces: FramingPiece[]; tally: StudTally } {
  const { thicknessNm, lengthNm, footNm, undersideNm } = frame;
  const lefts = frame.layoutCentresNm.map((centreNm) => centreNm - Math.floor(thicknessNm / 2));
  const clearOfEnds = lefts.filter((xNm) => xNm >= thicknessNm && xNm + thicknessNm <= lengthNm - thicknessNm);
  const free = clearOfEnds.filter(
    (xNm) => !frame.openings.some((o) => xNm < o.outerRightNm && xNm + thicknessNm > o.outerLeftNm),
  );
  const places = [0, ...free, lengthNm - thicknessNm];
  return {
    pieces: places.map((xNm, index) => upright(frame, "stud", `stud-${index + 1}`, xNm, footNm, undersideNm)),
    tally: {
      layoutPositions: lefts.length + 2,
      onEndStud: lefts.length - clearOfEnds.length,
      atOpenings: clearOfEnds.length - free.length,
    },
  };
}

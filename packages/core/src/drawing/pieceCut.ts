import type { Nanometres } from "../units";

/** How a sloping piece is cut. Lengths in whole nanometres, angles in degrees. */
export type PieceCut = {
  /** Rise over run of the piece itself: flatter than its roof's along a hip. */
  readonly pitch: number;
  /** On plan, from the outside of the plate or the middle of a valley to the middle of the ridge or hip. */
  readonly runNm: Nanometres;
  /** The same along the slope. */
  readonly lineNm: Nanometres;
  /** Less half of what it runs against, at either end. */
  readonly shortenedNm: Nanometres;
  /** Of that, on plan: taken off at its head and at its foot. */
  readonly headOffNm: Nanometres;
  readonly footOffNm: Nanometres;
  /** Beyond the plate along the slope; 0 where it has no tail. */
  readonly tailNm: Nanometres;
  /** Between the plumb cut and the piece's edge, and between the seat and that edge. */
  readonly plumbDegrees: number;
  readonly seatDegrees: number;
  /** On plan, how much its head and foot are turned from square; 0 against a ridge. */
  readonly headBevelDegrees: number;
  readonly footBevelDegrees: number;
  /** Of the notch over the plate: level, and plumb. None where it bears on nothing. */
  readonly seatNm: Nanometres;
  readonly heelNm: Nanometres;
  /** Of a hip: the angles at which its top edge is planed to either side to lie in the slopes; none where it is not. */
  readonly backingDegrees: readonly number[];
};

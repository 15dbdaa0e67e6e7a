/** Of the timber's depth, square to it, a notch over a plate takes a third: common practice. */
export const NOTCH_SHARE = 1 / 3;

/** How far the top of a rafter so deep stands over the line from the plate's corner, plumb: the height above plate. Millimetres. */
export const overPlateMm = (depthMm: number, pitch: number): number =>
  depthMm * (1 - NOTCH_SHARE) * Math.hypot(1, pitch);

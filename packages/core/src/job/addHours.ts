import Big from "big.js";

/** Hours of lines together, to a hundredth. */
export const addHours = (lines: readonly { readonly hours: string }[]): string =>
  lines
    .reduce((sum, { hours }) => sum.plus(hours), new Big(0))
    .round(2, Big.roundHalfUp)
    .toString();

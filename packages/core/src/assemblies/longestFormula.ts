/** Longer ones are no formula that anybody wrote, and the reader goes down one level for each bracket. */
export const LONGEST_FORMULA = 400;

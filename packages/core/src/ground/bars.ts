import { feet, inches, metres, millimetres, type Nanometres } from "../units";

/** A size of bar: its diameter, and its mass for each metre. */
export type BarSize = { readonly words: string; readonly diameterNm: Nanometres; readonly kgPerMetre: number };

const POUNDS_A_FOOT = 0.45359237 / 0.3048;

/**
 * Masses: millimetre sizes by BS 4449 / EN 10080, numbered sizes by ASTM A615, whose diameters are eighths of an inch. Six figures
 * of each are those tables', from memory of them; they are checked against the density of steel.
 */
export const BAR_SIZES = {
  "8": { words: "8 mm", diameterNm: millimetres(8), kgPerMetre: 0.395 },
  "10": { words: "10 mm", diameterNm: millimetres(10), kgPerMetre: 0.617 },
  "12": { words: "12 mm", diameterNm: millimetres(12), kgPerMetre: 0.888 },
  "16": { words: "16 mm", diameterNm: millimetres(16), kgPerMetre: 1.579 },
  "20": { words: "20 mm", diameterNm: millimetres(20), kgPerMetre: 2.466 },
  "25": { words: "25 mm", diameterNm: millimetres(25), kgPerMetre: 3.854 },
  no3: { words: "No. 3", diameterNm: inches(3 / 8), kgPerMetre: 0.376 * POUNDS_A_FOOT },
  no4: { words: "No. 4", diameterNm: inches(4 / 8), kgPerMetre: 0.668 * POUNDS_A_FOOT },
  no5: { words: "No. 5", diameterNm: inches(5 / 8), kgPerMetre: 1.043 * POUNDS_A_FOOT },
  no6: { words: "No. 6", diameterNm: inches(6 / 8), kgPerMetre: 1.502 * POUNDS_A_FOOT },
} as const satisfies Readonly<Record<string, BarSize>>;

export const BAR_IDS = ["8", "10", "12", "16", "20", "25", "no3", "no4", "no5", "no6"] as const;
export type BarId = (typeof BAR_IDS)[number];

const isBarId = (id: string): id is BarId => BAR_IDS.some((each) => each === id);

/** Throws for an id that is no size of bar. */
export function barSize(id: string): BarSize {
  if (!isBarId(id)) throw new RangeError(`barSize: there is no bar "${id}"`);
  return BAR_SIZES[id];
}

/** Where nobody sells any: 6 m, and 20 ft (common practice). */
export const usualStockNm = (id: string): Nanometres => (id.startsWith("no") ? feet(20) : metres(6));

/**
 * A straight run of bar in the lengths it is cut in: as it is where it fits into one, else lapped, the last one as short as is left.
 * A lap that leaves no headway laps nothing: the run comes back whole, longer than what is sold.
 */
export function lappedLengths(runNm: Nanometres, longestNm: Nanometres, lapNm: Nanometres): Nanometres[] {
  if (runNm <= longestNm || lapNm <= 0 || lapNm >= longestNm) return [runNm];
  const headwayNm = longestNm - lapNm;
  const whole = Math.ceil((runNm - longestNm) / headwayNm);
  return [...Array.from({ length: whole }, () => longestNm), runNm - whole * headwayNm];
}

/** How many at most so far apart along a length, one at each end: a single one where there is no length. */
export const atSpacing = (lengthNm: Nanometres, spacingNm: Nanometres): number =>
  lengthNm <= 0 ? 1 : Math.ceil(lengthNm / spacingNm - 1e-9) + 1;

export type LinkShape = "hooks" | "shape-51";

/**
 * What a closed link is cut from, by the outside measures of its two legs and of its hooks. With square corners and two hooks: all
 * round, and both hooks. By BS 8666 shape 51: 2(A + B + C) − 2.5r − 5d, r the least for bending (twice the diameter up to 16 mm,
 * three and a half times above).
 */
export function linkLengthNm(
  [aNm, bNm]: readonly [Nanometres, Nanometres],
  hookNm: Nanometres,
  diameterNm: Nanometres,
  shape: LinkShape,
): Nanometres {
  if (shape === "hooks") return 2 * (aNm + bNm + hookNm);
  const radiusNm = (diameterNm <= millimetres(16) ? 2 : 3.5) * diameterNm;
  return Math.round(2 * (aNm + bNm + hookNm) - 2.5 * radiusNm - 5 * diameterNm);
}

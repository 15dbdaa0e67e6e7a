import { type MeasuringSystem, type Nanometres, NM_PER_INCH, NM_PER_M, NM_PER_MM } from "./length";

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

/**
 * `12' 6 1/2"`, to the nearest 1/`denominator` inch (a power of two; 16 is what a tape shows).
 * Carries: 11 31/32 in at 1/16 is 1' 0", never 12".
 */
export function formatFeetAndInches(lengthNm: Nanometres, denominator = 16): string {
  const parts = Math.round((Math.abs(lengthNm) * denominator) / NM_PER_INCH);
  // What rounds to nothing is nothing, from either side.
  const sign = lengthNm < 0 && parts > 0 ? "−" : "";
  const wholeInches = Math.floor(parts / denominator);
  const remainder = parts % denominator;
  const feetCount = Math.floor(wholeInches / 12);
  const inchCount = wholeInches % 12;
  const divisor = greatestCommonDivisor(remainder, denominator);
  const fraction = remainder === 0 ? "" : `${remainder / divisor}/${denominator / divisor}`;
  // After feet the inches are always said: 4' 0 1/2", never 4' 1/2".
  const saysInches = inchCount > 0 || feetCount > 0 || fraction === "";
  const inchText = [saysInches ? String(inchCount) : "", fraction].filter(Boolean).join(" ");
  return feetCount === 0 ? `${sign}${inchText}"` : `${sign}${feetCount}' ${inchText}"`;
}

/** `3810 mm`, or `3810.5 mm` where there are tenths. */
export function formatMillimetres(lengthNm: Nanometres): string {
  const tenths = Math.round(Math.abs(lengthNm) / (NM_PER_MM / 10));
  const text = tenths % 10 === 0 ? String(tenths / 10) : (tenths / 10).toFixed(1);
  return `${lengthNm < 0 && tenths > 0 ? "−" : ""}${text} mm`;
}

/** `3.81 m`, for running lengths and totals. */
export const formatMetres = (lengthNm: Nanometres): string => `${Number((lengthNm / NM_PER_M).toFixed(3))} m`;

/** A dimension as drawings of the job's system write it. */
export const formatLength = (lengthNm: Nanometres, system: MeasuringSystem): string =>
  system === "imperial" ? formatFeetAndInches(lengthNm) : formatMillimetres(lengthNm);

/** A running total: feet to one decimal, or metres to two. */
export function formatRunningLength(lengthNm: Nanometres, system: MeasuringSystem): string {
  if (system === "imperial") return `${Number((lengthNm / (12 * NM_PER_INCH)).toFixed(1))} ft`;
  return `${Number((lengthNm / NM_PER_M).toFixed(2))} m`;
}

/** A spacing as the trade says it: `16 in`, `19.2 in`, `600 mm`. */
export const formatSpacing = (spacingNm: Nanometres, system: MeasuringSystem): string =>
  system === "imperial" ? `${Number((spacingNm / NM_PER_INCH).toFixed(2))} in` : formatMillimetres(spacingNm);

/** A length in a sentence for a customer: `8 ft 1 1/8 in`, `2400 mm`. */
export function formatLengthInWords(lengthNm: Nanometres, system: MeasuringSystem): string {
  if (system === "metric") return formatMillimetres(lengthNm);
  return formatFeetAndInches(lengthNm)
    .replace("'", " ft")
    .replace('"', " in")
    .replace(/ 0 in$/, "");
}

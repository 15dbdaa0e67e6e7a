/**
 * Lengths are integers of nanometres, so that 1/64 inch (396 875 nm) and 0.1 mm are both whole numbers and
 * 12 ft over 16 in is exactly 9.
 */
export type Nanometres = number;

export const NM_PER_MM = 1_000_000;
export const NM_PER_CM = 10 * NM_PER_MM;
export const NM_PER_M = 1000 * NM_PER_MM;
/** The international inch is exactly 25.4 mm. Source: NIST SP 811, appendix B. */
export const NM_PER_INCH = 25_400_000;
export const NM_PER_FOOT = 12 * NM_PER_INCH;
export const NM_PER_64TH_INCH = NM_PER_INCH / 64;

export type MeasuringSystem = "imperial" | "metric";

/** `inches(3.5)` → 88 900 000. */
export const inches = (count: number): Nanometres => Math.round(count * NM_PER_INCH);
export const feet = (count: number): Nanometres => Math.round(count * NM_PER_FOOT);
export const millimetres = (count: number): Nanometres => Math.round(count * NM_PER_MM);
export const metres = (count: number): Nanometres => Math.round(count * NM_PER_M);

export const toInches = (lengthNm: Nanometres): number => lengthNm / NM_PER_INCH;
export const toFeet = (lengthNm: Nanometres): number => lengthNm / NM_PER_FOOT;
export const toMetres = (lengthNm: Nanometres): number => lengthNm / NM_PER_M;
export const toMillimetres = (lengthNm: Nanometres): number => lengthNm / NM_PER_MM;

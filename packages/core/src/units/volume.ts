import { type MeasuringSystem, NM_PER_FOOT, NM_PER_M } from "./length";

/** Volumes are plain numbers of cubic metres. */
export type CubicMetres = number;

export const toCubicFeet = (volume: CubicMetres): number => volume * (NM_PER_M / NM_PER_FOOT) ** 3;

export function formatVolume(volume: CubicMetres, system: MeasuringSystem): string {
  if (system === "imperial") return `${Number(toCubicFeet(volume).toFixed(1))} cu ft`;
  return `${Number(volume.toFixed(2))} m³`;
}

/** A US gallon is 231 cubic inches (NIST Handbook 44, appendix C). */
const CUBIC_METRES_PER_GALLON = 231 * 0.0254 ** 3;

/** `4.5 US gal`, `17 L`. */
export function formatLiquid(volume: CubicMetres, system: MeasuringSystem): string {
  if (system === "imperial") return `${Number((volume / CUBIC_METRES_PER_GALLON).toFixed(2))} US gal`;
  return `${Number((volume * 1000).toFixed(1))} L`;
}

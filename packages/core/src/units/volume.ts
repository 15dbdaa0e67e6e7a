import { type MeasuringSystem, NM_PER_FOOT, NM_PER_M } from "./length";

/** Volumes are plain numbers of cubic metres. */
export type CubicMetres = number;

export const toCubicFeet = (volume: CubicMetres): number => volume * (NM_PER_M / NM_PER_FOOT) ** 3;

export function formatVolume(volume: CubicMetres, system: MeasuringSystem): string {
  if (system === "imperial") return `${Number(toCubicFeet(volume).toFixed(1))} cu ft`;
  return `${Number(volume.toFixed(2))} m³`;
}

import { type MeasuringSystem, type Nanometres, NM_PER_FOOT, NM_PER_M } from "./length";

/** Areas are plain numbers of square metres: products of nanometres leave the exact integers. */
export type SquareMetres = number;

const SQUARE_FEET_PER_SQUARE_METRE = (NM_PER_M / NM_PER_FOOT) ** 2;

export const areaOf = (widthNm: Nanometres, heightNm: Nanometres): SquareMetres =>
  (widthNm / NM_PER_M) * (heightNm / NM_PER_M);

export const toSquareFeet = (area: SquareMetres): number => area * SQUARE_FEET_PER_SQUARE_METRE;

export function formatArea(area: SquareMetres, system: MeasuringSystem): string {
  if (system === "imperial") return `${Number(toSquareFeet(area).toFixed(2))} sq ft`;
  return `${Number(area.toFixed(2))} m²`;
}

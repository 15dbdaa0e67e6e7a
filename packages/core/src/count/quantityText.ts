import { isMeasuredUnit, type MeasuredUnit } from "../assemblies/records";
import {
  formatArea,
  formatLiquid,
  formatRunningLength,
  formatVolume,
  type MeasuringSystem,
  NM_PER_M,
  plural,
  pluralOf,
} from "../units";

const KG_PER_LB = 0.45359237;
const rounded = (value: number, places: number): string => String(Number(value.toFixed(places)));

const MEASURED: Record<MeasuredUnit, (value: number, system: MeasuringSystem) => string> = {
  length: (value, system) => formatRunningLength(Math.round(value * NM_PER_M), system),
  area: formatArea,
  volume: formatVolume,
  liquid: formatLiquid,
  weight: (value, system) =>
    system === "imperial" ? `${rounded(value / KG_PER_LB, 1)} lb` : `${rounded(value, 1)} kg`,
  hour: (value) => `${rounded(value, 2)} h`,
};

/** `12 nails`, `118 ft`, `32 sq ft`: a quantity in the job's system. */
export function quantityText(value: number, unit: string, system: MeasuringSystem): string {
  if (isMeasuredUnit(unit)) return MEASURED[unit](value, system);
  return `${rounded(value, 2)} ${unitWord(value, unit)}`;
}

export const unitWord = (count: number, unit: string): string => plural(count, unit, pluralOf(unit));

/** The figure and its unit apart, for a column of figures. */
export function quantityParts(
  value: number,
  unit: string,
  system: MeasuringSystem,
): { readonly figure: string; readonly unit: string } {
  const [figure = "", ...rest] = quantityText(value, unit, system).split(" ");
  return { figure, unit: rest.join(" ") };
}

/** Powers of metre, kilogram and hour. A count has none. */
export type Dims = readonly [metres: number, kilograms: number, hours: number];

export type FormulaType =
  | { readonly is: "number"; readonly dims: Dims }
  | { readonly is: "yes-no" }
  /** A choice; what it is one of, where that is known. */
  | { readonly is: "text"; readonly among?: readonly string[] };

export const COUNT: FormulaType = { is: "number", dims: [0, 0, 0] };
export const LENGTH: FormulaType = { is: "number", dims: [1, 0, 0] };
export const AREA: FormulaType = { is: "number", dims: [2, 0, 0] };
export const VOLUME: FormulaType = { is: "number", dims: [3, 0, 0] };
export const MASS: FormulaType = { is: "number", dims: [0, 1, 0] };
/** Mass in a volume. */
export const DENSITY: FormulaType = { is: "number", dims: [-3, 1, 0] };
export const HOURS: FormulaType = { is: "number", dims: [0, 0, 1] };
export const YES_NO: FormulaType = { is: "yes-no" };
export const TEXT: FormulaType = { is: "text" };

export const sameDims = (a: Dims, b: Dims): boolean => a.every((power, index) => power === b[index]);
export const plusDims = (a: Dims, b: Dims, sign: 1 | -1): Dims => [
  a[0] + sign * b[0],
  a[1] + sign * b[1],
  a[2] + sign * b[2],
];
export const timesDims = ([m, kg, h]: Dims, power: number): Dims => [m * power, kg * power, h * power];

const NAMED: readonly (readonly [FormulaType, string])[] = [
  [COUNT, "a count"],
  [LENGTH, "a length"],
  [AREA, "an area"],
  [VOLUME, "a volume"],
  [MASS, "a weight"],
  [HOURS, "a time"],
  [DENSITY, "a density"],
];

/** `a length`, `an area`, in a builder's words; unusual ones by their powers. */
export function typeWords(type: FormulaType): string {
  if (type.is === "yes-no") return "a yes or no";
  if (type.is === "text") return "a choice";
  const named = NAMED.find(([each]) => each.is === "number" && sameDims(each.dims, type.dims));
  if (named) return named[1];
  const powers = (["m", "kg", "h"] as const).flatMap((unit, index) => {
    const power = type.dims[index] ?? 0;
    return power === 0 ? [] : [power === 1 ? unit : `${unit}^${power}`];
  });
  return `something in ${powers.join(" ")}`;
}

/** Units that a rule is counted in, beside words for countable things such as `piece`. */
export const MEASURED_UNITS = {
  length: LENGTH,
  area: AREA,
  volume: VOLUME,
  /** A volume that is sold by the gallon or the litre. */
  liquid: VOLUME,
  weight: MASS,
  hour: HOURS,
} as const;
export type MeasuredUnit = keyof typeof MEASURED_UNITS;

export const isMeasuredUnit = (unit: string): unit is MeasuredUnit => Object.hasOwn(MEASURED_UNITS, unit);
export const typeOfUnit = (unit: string): FormulaType => (isMeasuredUnit(unit) ? MEASURED_UNITS[unit] : COUNT);

import type { FigureMeasure, MeasuringSystem } from "@wide-porch/core";

/** What a key puts into the entry. A label that cannot be read out has a name. */
export type PadKey = {
  readonly label: string;
  readonly types: string;
  readonly name?: string;
  readonly tone: "figure" | "sign" | "unit";
};

const figure = (label: string): PadKey => ({ label, types: label, tone: "figure" });
const sign = (label: string, types: string, name: string): PadKey => ({ label, types, name, tone: "sign" });
const unit = (label: string, types: string, name: string): PadKey => ({ label, types, name, tone: "unit" });

const FEET = unit("ft", "'", "feet");
const INCHES = unit("in", '"', "inches");
const MILLIMETRES = unit("mm", " mm", "millimetres");
const METRES = unit("m", " m", "metres");

const SQUARE_FEET = unit("sq ft", " sq ft", "square feet");
const SQUARE_METRES = unit("m²", " m²", "square metres");
const DEGREES = unit("°", "°", "degrees");
const PERCENT = unit("%", " %", "percent");
const TO = unit(":", ":", "to");
const IN_TWELVE = unit("in 12", " in 12", "rise in 12");

/** Units that an entry of a measure is written with, the job's own first. A plain number has none. */
function unitKeys(measure: FigureMeasure, system: MeasuringSystem): readonly PadKey[] {
  const imperial = system === "imperial";
  switch (measure) {
    case "length":
      return imperial ? [FEET, INCHES, METRES, MILLIMETRES] : [METRES, MILLIMETRES, FEET, INCHES];
    case "area":
      return imperial ? [SQUARE_FEET, FEET, INCHES, SQUARE_METRES] : [SQUARE_METRES, METRES, MILLIMETRES, SQUARE_FEET];
    case "pitch":
      return imperial ? [IN_TWELVE, DEGREES, TO, PERCENT] : [DEGREES, TO, PERCENT, IN_TWELVE];
    case "angle":
      return [DEGREES];
    case "ratio":
      return [TO];
    case "percent":
      return [PERCENT];
    default:
      return [];
  }
}

/** Whether parts of an inch are written in it. */
export const hasFractions = (measure: FigureMeasure, system: MeasuringSystem): boolean =>
  system === "imperial" && (measure === "length" || measure === "area" || measure === "pitch");

/** Rows of five: figures at the thumb's side, units, then the signs. Signs have spaces, so that a minus is never a dash. */
export function padRows(measure: FigureMeasure, system: MeasuringSystem): PadKey[][] {
  const units = unitKeys(measure, system);
  const at = (index: number): PadKey[] => units.slice(index, index + 1);
  return [
    [figure("7"), figure("8"), figure("9"), ...at(0), sign("+", " + ", "plus")],
    [figure("4"), figure("5"), figure("6"), ...at(1), sign("−", " − ", "minus")],
    [figure("1"), figure("2"), figure("3"), ...at(2), sign("×", " × ", "times")],
    [figure("."), figure("0"), sign("( )", "(", "bracket"), ...at(3), sign("÷", " ÷ ", "divided by")],
  ];
}

export const FRACTION_KEYS: readonly PadKey[] = ["1/8", "1/4", "3/8", "1/2", "5/8", "3/4", "7/8"].map((fraction) => ({
  label: fraction,
  types: ` ${fraction}`,
  name: `${fraction} inch`,
  tone: "unit",
}));

/** Puts a key's text at the end of an entry: one bracket key opens, and closes what is open. */
export function typeKey(text: string, key: PadKey): string {
  if (key.types === "(") {
    const open = text.split("(").length - text.split(")").length;
    return open > 0 && /[\d'"m)]\s*$/.test(text) ? `${text})` : `${text}(`;
  }
  // Nothing stands apart from nothing; a fraction stands apart from whole inches, but not from a feet mark.
  const isFraction = key.types.includes("/");
  if (key.types.startsWith(" ") && (/^$|\s$|\($/.test(text) || (isFraction && text.endsWith("'"))))
    return `${text}${key.types.trimStart()}`;
  return `${text}${key.types}`;
}

/** Takes off what the last key typed: a sign goes with the spaces round it, a fraction whole. */
export const rubOut = (text: string): string =>
  text.replace(/( [+−×÷] | in 12| sq ft| m²| mm| m| %| ?\d+\/\d+|.)$/u, "");

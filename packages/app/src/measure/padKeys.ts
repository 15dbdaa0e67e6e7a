import type { MeasuringSystem } from "@wide-porch/core";

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

const unitKeys = (system: MeasuringSystem): PadKey[] =>
  system === "imperial" ? [FEET, INCHES, METRES, MILLIMETRES] : [METRES, MILLIMETRES, FEET, INCHES];

/** Rows of five: figures at the thumb's side, units, then the signs. Signs have spaces, so that a minus is never a dash. */
export function padRows(system: MeasuringSystem): PadKey[][] {
  const [first, second, third, fourth] = unitKeys(system);
  const units = [first, second, third, fourth].filter((key) => key !== undefined);
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
export const rubOut = (text: string): string => text.replace(/( [+−×÷] | mm| m| ?\d+\/\d+|.)$/u, "");

import Fraction from "fraction.js";
import { type Parsed, parsed, refused } from "../problems/problem";
import { type MeasuringSystem, NM_PER_CM, NM_PER_FOOT, NM_PER_INCH, NM_PER_M, NM_PER_MM } from "./length";

/** A value in an entry: a length in nanometres, an area in square ones, or a bare number that takes the job's own unit when it must. */
export type Quantity = { readonly kind: "length" | "area" | "bare"; readonly amount: Fraction };

export type Token =
  | { readonly type: "quantity"; readonly quantity: Quantity }
  | { readonly type: "sign"; readonly sign: "+" | "-" | "*" | "/" | "(" | ")" };

const VULGAR: Readonly<Record<string, string>> = {
  "¼": "1/4",
  "½": "1/2",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};

/** One spelling for the marks that keyboards, tapes and phones write differently. */
export function normaliseMarks(text: string): string {
  return text
    .toLowerCase()
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (mark) => ` ${VULGAR[mark] ?? mark}`)
    .replace(/[′’‘`]/g, "'")
    .replace(/[″”“]/g, '"')
    .replace(/''/g, '"')
    .replace(/[−–—]/g, "-")
    .replace(/⁄/g, "/")
    .replace(/\s+/g, " ")
    .trim();
}

const DECIMAL = String.raw`(?:\d+(?:\.\d+)?|\.\d+)`;
const VULGAR_FRACTION = String.raw`\d+\/\d+`;
/** `6`, `6.5`, `6 1/2`, `6-1/2`, `1/2`. */
const MIXED = String.raw`(?:\d+[ -]${VULGAR_FRACTION}|${VULGAR_FRACTION}|${DECIMAL})`;
const FOOT_MARK = String.raw`(?:'|feet\b|foot\b|ft\b)`;
const INCH_MARK = String.raw`(?:"|inches\b|inch\b|in\b)`;
const OTHER_UNIT = String.raw`(?:'|feet\b|foot\b|ft\b|mm\b|cm\b|m\b)`;

const FEET_AND_INCHES = new RegExp(
  `^(${DECIMAL}) ?${FOOT_MARK}(?:(?: ?|-)(${MIXED})(?![\\d.]|/)(?: ?${INCH_MARK})?(?! ?${OTHER_UNIT}))?`,
);
const DASHED = new RegExp(`^(\\d+)-(\\d+(?:[ -]${VULGAR_FRACTION})?)(?![\\d./]| ?${INCH_MARK}| ?${OTHER_UNIT})`);
const INCHES = new RegExp(`^(${MIXED}) ?${INCH_MARK}`);
const METRIC = new RegExp(`^(${DECIMAL}) ?(mm|cm|m)\\b`);
const BARE = new RegExp(`^(${MIXED})(?![\\d.])`);
const SQUARE = String.raw`(sq\.? ?ft\b|ft2\b|ft²|square feet\b|sq\.? ?m\b|m2\b|m²|square metres\b)`;
const AREA = new RegExp(`^(${MIXED}) ?${SQUARE}`);
const METRIC_NM: Readonly<Record<string, number>> = { mm: NM_PER_MM, cm: NM_PER_CM, m: NM_PER_M };

function mixedNumber(text: string): Fraction | undefined {
  const parts = text.split(/[ -]/);
  if (parts.some((part) => /\/0+$/.test(part))) return undefined;
  return parts.reduce((sum, part) => sum.add(new Fraction(part)), new Fraction(0));
}

type Match = { readonly length: number; readonly quantity: Quantity } | "zero-fraction" | "unclear-dash" | undefined;

const lengthOf = (matched: string, amount: Fraction | undefined, unitNm: number): Match =>
  amount && { length: matched.length, quantity: { kind: "length", amount: amount.mul(unitNm) } };

function matchFeetAndInches(rest: string): Match {
  const match = FEET_AND_INCHES.exec(rest);
  if (!match) return undefined;
  const inchPart = match[2] === undefined ? new Fraction(0) : mixedNumber(match[2]);
  if (!inchPart) return "zero-fraction";
  return lengthOf(match[0], new Fraction(match[1] ?? 0).mul(12).add(inchPart), NM_PER_INCH);
}

/** `12-6-1/2` reads as feet, inches, fraction. In a metric job two bare figures with a dash are a subtraction. */
function matchDashed(rest: string, system: MeasuringSystem): Match {
  const match = DASHED.exec(rest);
  if (!match?.[1] || !match[2]) return undefined;
  if (system === "metric" && !match[2].includes("/")) return undefined;
  const inchPart = mixedNumber(match[2]);
  if (!inchPart) return "zero-fraction";
  if (inchPart.compare(12) >= 0) return "unclear-dash";
  return lengthOf(match[0], new Fraction(match[1]).mul(12).add(inchPart), NM_PER_INCH);
}

function matchArea(rest: string): Match {
  const match = AREA.exec(rest);
  if (!match?.[1]) return undefined;
  const sideNm = /f/.test(match[2] ?? "") ? NM_PER_FOOT : NM_PER_M;
  const amount = mixedNumber(match[1])?.mul(new Fraction(sideNm).pow(2) ?? 0);
  return amount ? { length: match[0].length, quantity: { kind: "area", amount } } : "zero-fraction";
}

function matchQuantity(rest: string, system: MeasuringSystem): Match {
  const area = matchArea(rest);
  if (area) return area;
  const feetAndInches = matchFeetAndInches(rest);
  if (feetAndInches) return feetAndInches;
  const inch = INCHES.exec(rest);
  if (inch?.[1]) return lengthOf(inch[0], mixedNumber(inch[1]), NM_PER_INCH) ?? "zero-fraction";
  const metric = METRIC.exec(rest);
  if (metric) return lengthOf(metric[0], new Fraction(metric[1] ?? 0), METRIC_NM[metric[2] ?? ""] ?? NM_PER_MM);
  const dashed = matchDashed(rest, system);
  if (dashed) return dashed;
  const bare = BARE.exec(rest);
  if (!bare?.[1]) return undefined;
  const amount = mixedNumber(bare[1]);
  return amount ? { length: bare[0].length, quantity: { kind: "bare", amount } } : "zero-fraction";
}

const SIGNS: Readonly<Record<string, "+" | "-" | "*" | "/" | "(" | ")">> = {
  "+": "+",
  "-": "-",
  "*": "*",
  "×": "*",
  x: "*",
  "/": "/",
  "÷": "/",
  "(": "(",
  ")": ")",
};

/** Cuts an entry into quantities and signs. `system` decides what a dash between two bare figures means. */
export function tokeniseLength(
  text: string,
  system: MeasuringSystem,
  /** What the entry is to be, for saying what is no part of it. */
  what = "a length",
): Parsed<readonly Token[]> {
  let rest = normaliseMarks(text);
  if (/\d,\d/.test(rest)) {
    return refused("comma", "A comma could mean a thousand or a decimal. Write 1200 or 1.2 instead.");
  }
  const tokens: Token[] = [];
  while (rest.length > 0) {
    const match = matchQuantity(rest, system);
    if (match === "zero-fraction") return refused("zero-fraction", "A fraction cannot have 0 under the line.");
    if (match === "unclear-dash") {
      return refused("unclear-dash", "Put spaces round the minus to take away, or write feet and inches as 12'6.");
    }
    if (match) {
      tokens.push({ type: "quantity", quantity: match.quantity });
      rest = rest.slice(match.length).trimStart();
      continue;
    }
    const sign = SIGNS[rest.charAt(0)];
    if (!sign) return refused("not-a-length", `“${rest.slice(0, 12)}” is not part of ${what}.`);
    tokens.push({ type: "sign", sign });
    rest = rest.slice(1).trimStart();
  }
  return parsed(tokens);
}

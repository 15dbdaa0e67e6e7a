import type { FunctionSignature } from "../../kinds";
import { areaOf, type Nanometres, NM_PER_M, piecesAtSpacing, spacesIn } from "../../units";
import type { LayoutAnswers, SheetDimensions, Value } from "./layoutAnswers";
import { AREA, COUNT, LENGTH } from "./types";

/** A function of the language itself; those that a kind of part adds are asked of its layout. */
export type FormulaFunction = FunctionSignature & {
  readonly run: (args: readonly Value[], laid: LayoutAnswers) => number;
};

const number = (value: Value | undefined): number => (typeof value === "number" ? value : Number.NaN);
const isText = (value: Value): value is string => typeof value === "string";
/** A length above nothing in whole nanometres; undefined for one that is none, or so large that it cannot be exact. */
export function positiveNm(value: Value | undefined): Nanometres | undefined {
  const lengthNm = Math.round(number(value) * NM_PER_M);
  return Number.isSafeInteger(lengthNm) && lengthNm > 0 ? lengthNm : undefined;
}
export const nanometres = (value: Value | undefined): Nanometres => Math.round(number(value) * NM_PER_M);

/** Rounding that a hair does not move: 12 ft over 16 in is 9, never 10. */
const NEAR = 1e-9;
const near = (value: number): number | undefined => {
  const whole = Math.round(value);
  return Math.abs(value - whole) <= NEAR * Math.max(1, Math.abs(value)) ? whole : undefined;
};
export const roundUp = (value: number): number => near(value) ?? Math.ceil(value);
export const roundDown = (value: number): number => near(value) ?? Math.floor(value);
/** Half away from zero. */
const roundHalf = (value: number): number => Math.sign(value) * roundDown(Math.abs(value) + 0.5);

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/**
 * Fixings in one piece of sheet: round its edges at the edge spacing, and up each support inside it at the field spacing.
 * A 4 x 8 ft sheet on studs at 16 in, nailed 6 in and 12 in: 48 + 2 x 7 = 62.
 */
export function fixingsInSheet(
  sheet: SheetDimensions,
  supportsInside: number,
  edgeNm: Nanometres,
  fieldNm: Nanometres,
): number {
  const edge = spacesIn(2 * (sheet.widthNm + sheet.heightNm), edgeNm);
  return edge + supportsInside * Math.max(0, spacesIn(sheet.heightNm, fieldNm) - 1);
}

/** Every function that any formula can use. */
export const FUNCTIONS: readonly FormulaFunction[] = [
  {
    name: "ceil",
    takes: ["count"],
    gives: COUNT,
    says: "rounded up to a whole number",
    example: "ceil( )",
    run: ([x]) => roundUp(number(x)),
  },
  {
    name: "floor",
    takes: ["count"],
    gives: COUNT,
    says: "rounded down to a whole number",
    example: "floor( )",
    run: ([x]) => roundDown(number(x)),
  },
  {
    name: "round",
    takes: ["count"],
    gives: COUNT,
    says: "rounded to the nearest whole number",
    example: "round( )",
    run: ([x]) => roundHalf(number(x)),
  },
  {
    name: "min",
    takes: ["same"],
    gives: "same",
    says: "the least of them",
    example: "min( , )",
    run: (args) => Math.min(...args.map(number)),
  },
  {
    name: "max",
    takes: ["same"],
    gives: "same",
    says: "the most of them",
    example: "max( , )",
    run: (args) => Math.max(...args.map(number)),
  },
  {
    name: "abs",
    takes: ["number"],
    gives: "same",
    says: "without its sign",
    example: "abs( )",
    run: ([x]) => Math.abs(number(x)),
  },
  {
    name: "sqrt",
    takes: ["number"],
    gives: "root",
    says: "the square root",
    example: "sqrt( )",
    run: ([x]) => Math.sqrt(number(x)),
  },
  {
    name: "upTo",
    takes: ["same", "same"],
    gives: "same",
    says: "rounded up to a whole number of steps: of the lengths that stock comes in",
    example: "upTo( , )",
    run: ([x, step]) => (number(step) > 0 ? roundUp(number(x) / number(step)) * number(step) : Number.NaN),
  },
  {
    name: "sin",
    takes: ["count"],
    gives: COUNT,
    says: "the sine of an angle",
    example: "sin( deg)",
    run: ([x]) => Math.sin(number(x)),
  },
  {
    name: "cos",
    takes: ["count"],
    gives: COUNT,
    says: "the cosine of an angle",
    example: "cos( deg)",
    run: ([x]) => Math.cos(number(x)),
  },
  {
    name: "tan",
    takes: ["count"],
    gives: COUNT,
    says: "the tangent of an angle: rise over run",
    example: "tan( deg)",
    run: ([x]) => Math.tan(number(x)),
  },
  {
    name: "atan",
    takes: ["count"],
    gives: COUNT,
    says: "the angle of a rise over a run",
    example: "atan( )",
    run: ([x]) => Math.atan(number(x)),
  },
  {
    name: "sum",
    takes: ["rows", "each"],
    gives: "each",
    says: "added up over all there are: of the openings, each width and 300 mm",
    example: "sum(openings, width)",
    told: ({ argument }) => `${argument(1)} of each of the ${argument(0)}, added up`,
    run: (args) => args.reduce<number>((total, each) => total + number(each), 0),
  },
  {
    name: "count",
    takes: ["rows", "each"],
    gives: COUNT,
    says: "how many there are of which something holds",
    example: "count(openings, width > 1 m)",
    told: ({ argument }) => `${argument(0)} of which ${argument(1)}`,
    run: (args) => args.filter((each) => each === true).length,
  },
  {
    name: "least",
    takes: ["rows", "each"],
    gives: "each",
    says: "the least over all there are; nothing where there are none",
    example: "least(openings, width)",
    told: ({ argument }) => `the least ${argument(1)} of the ${argument(0)}`,
    run: (args) => (args.length === 0 ? 0 : Math.min(...args.map(number))),
  },
  {
    name: "most",
    takes: ["rows", "each"],
    gives: "each",
    says: "the most over all there are; nothing where there are none",
    example: "most(openings, width)",
    told: ({ argument }) => `the most ${argument(1)} of the ${argument(0)}`,
    run: (args) => (args.length === 0 ? 0 : Math.max(...args.map(number))),
  },
  {
    name: "lookup",
    takes: ["table", "number", "column"],
    gives: "column",
    says: "what a table has in the first row whose limit is not less",
    example: 'lookup("", , "")',
    told: ({ argument }) => `${argument(0).replaceAll('"', "")} for ${argument(1)}`,
    run: () => Number.NaN,
  },
  {
    name: "pieces",
    takes: ["roles"],
    gives: COUNT,
    says: "how many pieces of these roles are laid out",
    example: 'pieces("")',
    told: ({ roles }) => roles,
    run: (args, laid) => {
      let count = 0;
      for (const role of args) if (isText(role)) count += laid.countOf?.(role) ?? laid.lengthsNm(role).length;
      return count;
    },
  },
  {
    name: "run",
    takes: ["roles"],
    gives: LENGTH,
    says: "the lengths of these pieces added up",
    example: 'run("")',
    told: ({ roles }) => `length of ${roles}`,
    run: (args, laid) => {
      let lengthNm = 0;
      for (const role of args) if (isText(role)) lengthNm += sum(laid.lengthsNm(role));
      return lengthNm / NM_PER_M;
    },
  },
  {
    name: "along",
    takes: ["length", "roles"],
    gives: COUNT,
    says: "fixings at most so far apart along each of these pieces, one at each end",
    example: 'along( , "")',
    told: ({ roles, argument }) => `fixings at ${argument(0)} along ${roles}`,
    run: ([spacing, ...roles], laid) => {
      const spacingNm = positiveNm(spacing);
      if (spacingNm === undefined) return Number.NaN;
      let count = 0;
      for (const role of roles) {
        if (isText(role)) for (const nm of laid.lengthsNm(role)) count += piecesAtSpacing(nm, spacingNm);
      }
      return count;
    },
  },
  {
    name: "sheetCover",
    takes: ["sheet-size"],
    gives: AREA,
    says: "what one sheet of this size covers",
    example: "sheetCover( )",
    told: () => "area of one sheet",
    run: ([size], laid) => {
      const found = laid.sheetSize(String(size));
      return found ? areaOf(found.widthNm, found.heightNm) : Number.NaN;
    },
  },
  {
    name: "fixingsEach",
    takes: ["sheet-size", "length", "length", "length"],
    gives: COUNT,
    says: "fixings in one whole sheet of this size: apart at its edges, apart inside, on framing so far apart",
    example: "fixingsEach( , , , )",
    told: () => "fixings in one sheet",
    run: ([size, edge, field, framing], laid) => {
      const sheet = laid.sheetSize(String(size));
      const [edgeNm, fieldNm, framingNm] = [positiveNm(edge), positiveNm(field), positiveNm(framing)];
      if (!sheet || !edgeNm || !fieldNm || !framingNm) return Number.NaN;
      return fixingsInSheet(sheet, Math.max(0, spacesIn(sheet.widthNm, framingNm) - 1), edgeNm, fieldNm);
    },
  },
];

const BY_NAME = new Map(FUNCTIONS.map((each) => [each.name, each]));
export const functionOf = (name: string): FormulaFunction | undefined => BY_NAME.get(name);

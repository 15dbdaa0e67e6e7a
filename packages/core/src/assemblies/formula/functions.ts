import { isPieceRole, type PieceRole, SHEET_ROLES, type SheetRole } from "../../parts";
import { areaOf, type Nanometres, NM_PER_M, piecesAtSpacing, spacesIn } from "../../units";
import type { LaidOut, SheetDimensions } from "./laidOut";
import { AREA, COUNT, type FormulaType, LENGTH } from "./types";

export type Value = number | boolean | string;

/** What a function asks of its arguments. `role…` is one or more roles in quotes; `same` is any quantity, all alike. */
export type Takes = "count" | "length" | "roles" | "sheet-role" | "sheet-size" | "same" | "number";

export type FormulaFunction = {
  readonly name: string;
  readonly takes: readonly Takes[];
  /** `same` is the type of the arguments. */
  readonly gives: FormulaType | "same" | "root";
  readonly says: string;
  readonly run: (args: readonly Value[], laid: LaidOut) => number;
};

const number = (value: Value | undefined): number => (typeof value === "number" ? value : Number.NaN);
const isRole = (value: Value): value is PieceRole => typeof value === "string" && isPieceRole(value);
const sheetRole = (value: Value | undefined): SheetRole | undefined => SHEET_ROLES.find((role) => role === value);
/** A length above nothing in whole nanometres; undefined for one that is none, or so large that it cannot be exact. */
function positiveNm(value: Value | undefined): Nanometres | undefined {
  const lengthNm = Math.round(number(value) * NM_PER_M);
  return Number.isSafeInteger(lengthNm) && lengthNm > 0 ? lengthNm : undefined;
}
const nanometres = (value: Value | undefined): Nanometres => Math.round(number(value) * NM_PER_M);

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

/** Every function a formula can use. */
export const FUNCTIONS: readonly FormulaFunction[] = [
  {
    name: "ceil",
    takes: ["count"],
    gives: COUNT,
    says: "rounded up to a whole number",
    run: ([x]) => roundUp(number(x)),
  },
  {
    name: "floor",
    takes: ["count"],
    gives: COUNT,
    says: "rounded down to a whole number",
    run: ([x]) => roundDown(number(x)),
  },
  {
    name: "round",
    takes: ["count"],
    gives: COUNT,
    says: "rounded to the nearest whole number",
    run: ([x]) => roundHalf(number(x)),
  },
  {
    name: "min",
    takes: ["same"],
    gives: "same",
    says: "the least of them",
    run: (args) => Math.min(...args.map(number)),
  },
  {
    name: "max",
    takes: ["same"],
    gives: "same",
    says: "the most of them",
    run: (args) => Math.max(...args.map(number)),
  },
  { name: "abs", takes: ["number"], gives: "same", says: "without its sign", run: ([x]) => Math.abs(number(x)) },
  { name: "sqrt", takes: ["number"], gives: "root", says: "the square root", run: ([x]) => Math.sqrt(number(x)) },
  {
    name: "pieces",
    takes: ["roles"],
    gives: COUNT,
    says: "how many pieces of these roles are laid out",
    run: (args, laid) => {
      let count = 0;
      for (const role of args) if (isRole(role)) count += laid.lengthsNm(role).length;
      return count;
    },
  },
  {
    name: "run",
    takes: ["roles"],
    gives: LENGTH,
    says: "the lengths of these pieces added up",
    run: (args, laid) => {
      let lengthNm = 0;
      for (const role of args) if (isRole(role)) lengthNm += sum(laid.lengthsNm(role));
      return lengthNm / NM_PER_M;
    },
  },
  {
    name: "along",
    takes: ["length", "roles"],
    gives: COUNT,
    says: "fixings at most so far apart along each of these pieces, one at each end",
    run: ([spacing, ...roles], laid) => {
      const spacingNm = positiveNm(spacing);
      if (spacingNm === undefined) return Number.NaN;
      let count = 0;
      for (const role of roles) {
        if (isRole(role)) for (const nm of laid.lengthsNm(role)) count += piecesAtSpacing(nm, spacingNm);
      }
      return count;
    },
  },
  {
    name: "sheets",
    takes: ["sheet-role"],
    gives: COUNT,
    says: "whole sheets that these are cut from",
    run: ([role], laid) => {
      const found = sheetRole(role);
      return found ? (laid.sheets(found)?.bought ?? 0) : 0;
    },
  },
  {
    name: "cover",
    takes: ["sheet-role"],
    gives: AREA,
    says: "the area these sheets cover as laid out",
    run: ([role], laid) => {
      const found = sheetRole(role);
      return found ? (laid.sheets(found)?.coverM2 ?? 0) : 0;
    },
  },
  {
    name: "sheetFixings",
    takes: ["sheet-role", "length", "length"],
    gives: COUNT,
    says: "fixings round the edges and on the studs inside, each at most so far apart",
    run: ([role, edge, field], laid) => {
      const found = sheetRole(role);
      const [edgeNm, fieldNm] = [positiveNm(edge), positiveNm(field)];
      if (!found || !edgeNm || !fieldNm) return Number.NaN;
      return laid.sheets(found)?.fixings(edgeNm, fieldNm) ?? 0;
    },
  },
  {
    name: "frameArea",
    takes: [],
    gives: AREA,
    says: "the face of the frame, which insulation does not fill",
    run: (_, laid) => laid.frameM2,
  },
  {
    name: "sheetCover",
    takes: ["sheet-size"],
    gives: AREA,
    says: "what one sheet of this size covers",
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
    run: ([size, edge, field, framing], laid) => {
      const sheet = laid.sheetSize(String(size));
      const [edgeNm, fieldNm, framingNm] = [positiveNm(edge), positiveNm(field), positiveNm(framing)];
      if (!sheet || !edgeNm || !fieldNm || !framingNm) return Number.NaN;
      return fixingsInSheet(sheet, Math.max(0, spacesIn(sheet.widthNm, framingNm) - 1), edgeNm, fieldNm);
    },
  },
  {
    name: "lapped",
    takes: ["length", "length"],
    gives: AREA,
    says: "the area of a roll so wide, laid up the wall in courses that lap so much",
    run: ([width, lap], laid) => laid.lappedM2(nanometres(width), nanometres(lap)) ?? Number.NaN,
  },
];

const BY_NAME = new Map(FUNCTIONS.map((each) => [each.name, each]));
export const functionOf = (name: string): FormulaFunction | undefined => BY_NAME.get(name);

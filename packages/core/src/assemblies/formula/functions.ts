import { isPieceRole, type PieceRole, SHEET_ROLES, type SheetRole } from "../../parts";
import { NM_PER_M, piecesAtSpacing } from "../../units";
import type { LaidOut } from "./laidOut";
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
const nanometres = (value: Value | undefined): number => Math.round(number(value) * NM_PER_M);

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
      const spacingNm = nanometres(spacing);
      if (spacingNm <= 0) return Number.NaN;
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
      const [edgeNm, fieldNm] = [nanometres(edge), nanometres(field)];
      if (!found || edgeNm <= 0 || fieldNm <= 0) return Number.NaN;
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
    run: ([size], laid) => laid.sheetCoverM2(String(size)) ?? Number.NaN,
  },
];

const BY_NAME = new Map(FUNCTIONS.map((each) => [each.name, each]));
export const functionOf = (name: string): FormulaFunction | undefined => BY_NAME.get(name);

export * from "./check";
export * from "./compile";
export * from "./expression";
export { type FormulaFunction, FUNCTIONS, fixingsInSheet, nanometres, positiveNm, roundUp } from "./functions";
export * from "./laidOut";
export * from "./language";
export * from "./parse";
export * from "./types";
export { UNITS, unitOf } from "./words";

export * from "./check";
export * from "./compile";
export * from "./expression";
export { type FormulaFunction, FUNCTIONS, fixingsInSheet, roundUp, type Value } from "./functions";
export * from "./laidOut";
export * from "./parse";
export * from "./types";
export { UNITS, unitOf } from "./words";

export * from "./buildUp";
export * from "./records";
export { riseOf, stepsOf } from "./steps";

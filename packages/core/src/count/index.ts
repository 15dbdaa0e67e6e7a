export * from "./countJob";
export { countPart } from "./countPart";
export * from "./records";
export * from "./runExamples";

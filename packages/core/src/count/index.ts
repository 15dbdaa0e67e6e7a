export * from "./bestPanels";
export * from "./countJob";
export { countPart } from "./countPart";
export * from "./jobSheets";
export * from "./records";
export * from "./runExamples";

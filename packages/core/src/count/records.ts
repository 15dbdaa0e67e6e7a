export * from "./compareCounts";
export { plainLine } from "./countedLine";
export * from "./countLine";
export * from "./marks";
export * from "./partCount";
export * from "./quantityText";
export type { ExampleResult } from "./runExamples";

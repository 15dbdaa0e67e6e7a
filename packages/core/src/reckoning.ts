/** The door for workers and the server: all that pages have, and the reckoning itself. */
export { compileAssembly, problemsOf } from "./assemblies";
export { assemblyJsonSchema, standardProblems } from "./assemblies/records";
export { type BestPanels, bestPanelsOf, countJob, countPart, JobSheets, type PartCounter, runExamples } from "./count";
export { isFraming } from "./drawing/piece";
export { type AssemblyFileResult, readAssemblyFile } from "./formats/assemblyFile";
export { publishedSchemas } from "./formats/published";
export { type ReadTable, readReportTable } from "./formats/reportTable";
export * from "./index";
export {
  compareEstimates,
  countAndOrder,
  countOf,
  type Estimate,
  orderAndPrice,
  priceAlone,
  reckonJob,
  waysOfDoing,
} from "./job";
export type { PricedJob, Quantities, Reckoning, WayTried } from "./job/records";
export { deckKind, floorKind, raftKind } from "./kinds";
export { openRange } from "./openRange";
export { type Cutter, cutInSteps, cutQuickly, orderJob } from "./order";
export type { CutProgress, CutSettings, NeededPiece, Stock } from "./order/records";
export { buildUpJob } from "./price";
export { quoteDocumentSchema } from "./quote";
export { type Money, toInches } from "./units";

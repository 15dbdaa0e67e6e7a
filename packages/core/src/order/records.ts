export type { Bar, CutSettings, NeededPiece, Stock } from "./cutting/cutProblem";
export type { CutList, CutProgress } from "./cutting/cutStock";
export * from "./cuttingSettings";
export * from "./orderLine";
export { packWord } from "./packWord";
export * from "./priceItem";
export type { SuppliedLine } from "./supplied";
export { type TimberRow, timberList } from "./timberList";
export { piecesToCut, stockOf } from "./toCut";

export { type Bar, type CutSettings, type NeededPiece, type Stock, USUAL_CUTTING } from "./cutProblem";
export * from "./cutStock";

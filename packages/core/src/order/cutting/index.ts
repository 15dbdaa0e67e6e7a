export { type Bar, type CutSettings, fitsBar, type NeededPiece, type Stock, USUAL_CUTTING } from "./cutProblem";
export * from "./cutStock";

export * from "./countJob";
export * from "./countLine";
export * from "./partCount";
export { nailsInPiece, nailsInSheet } from "./stud-wall/fixings";

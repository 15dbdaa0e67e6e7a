export { alongSide } from "./alongSide";
export * from "./choices";
export { drawJoisted } from "./draw";
export { doubledName, floorOpeningName, spotName, supportName, withOwnEdges } from "./figures";
export { newJoistEdge } from "./kind";
export { layoutOnPage, movedFirst, movedOpening } from "./lines";
export * from "./roles";
export * from "./schema";
export { type Area, joistShape, overhangOf, runsWithJoists } from "./shape";

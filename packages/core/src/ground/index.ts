export * from "./bars";
export { GROUND_PARAMETERS, type GroundChoices, groundChoicesOf } from "./choices";
export { type ChosenLayer, chosenLayers } from "./layersOf";
export { MESH_SHEETS } from "./meshSheets";
export { ribName } from "./plate/figures";
export { newPlateEdge } from "./plate/kind";
export {
  hasBeams,
  hasToe,
  MOST_PLATE_EDGES as MOST_GROUND_EDGES,
  MOST_RIBS,
  type Plate,
  type PlateEdge,
  type PlateEdgeForm,
  type Rib,
} from "./plate/schema";
export { plateSection } from "./plate/section";
export { barSchedule, massBySize, type ScheduledBar } from "./schedule";
export { drawStrip, stripSection } from "./strip/draw";
export { lineLetter, lineName, stepName } from "./strip/figures";
export {
  type FootingStep,
  type InnerLine,
  MOST_INNER_LINES,
  MOST_STEPS,
  type StripEdge,
  type StripFigures,
} from "./strip/schema";

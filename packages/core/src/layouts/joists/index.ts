export { bestStart, type TriedStart } from "./bestStart";
export type { CutJoist } from "./cutJoists";
export { inStock, type Longest } from "./edges";
export { type LaidJoists, layJoists } from "./layJoists";
export { FLOOR_PANEL, type FloorPanels, layFloorPanels } from "./panels";
export { joistsTold } from "./told";

export { AS_USUAL, type Productivity } from "./labour";
export * from "./makeLedger";
export * from "./records";

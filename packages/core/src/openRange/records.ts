export * from "./advice";
export * from "./alike";
export * from "./openList";
export * from "./openPointRange";

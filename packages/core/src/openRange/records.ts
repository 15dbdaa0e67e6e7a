export * from "./advice";
export * from "./alike";
export * from "./openPointRange";

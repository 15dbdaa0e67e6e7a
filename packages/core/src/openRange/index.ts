export * from "./questions";
export * from "./range";
export * from "./records";

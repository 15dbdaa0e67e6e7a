export * from "./reckonJob";
export * from "./records";

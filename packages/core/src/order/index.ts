export * from "./cutting";
export * from "./orderJob";
export * from "./records";

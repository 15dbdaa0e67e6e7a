export * from "./compileAssembly";
export * from "./formula";
export * from "./records";
export * from "./slotValues";

/** The door for workers and the server: all that pages have, and the reckoning itself. */
export * from "./assemblies";
export * from "./count";
export * from "./formats/assemblyFile";
export * from "./formats/published";
export * from "./formats/reportTable";
export * from "./index";
export * from "./job";
export * from "./layouts";
export * from "./ledger";
export * from "./openRange";
export * from "./order";
export * from "./price";

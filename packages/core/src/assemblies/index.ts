export * from "./compileAssembly";
export * from "./formula";
export * from "./library";
export * from "./parameters";
export * from "./schema";
export * from "./settleWall";
export * from "./sheet";
export * from "./standard";

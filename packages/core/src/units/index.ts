export * from "./area";
export * from "./boardFeet";
export * from "./counting";
export * from "./formatLength";
export * from "./length";
export * from "./money";
export * from "./parseLength";
export * from "./volume";

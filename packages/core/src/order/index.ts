export * from "./cutting";
export * from "./cuttingSettings";
export * from "./orderJob";
export * from "./orderLine";
export * from "./priceItem";

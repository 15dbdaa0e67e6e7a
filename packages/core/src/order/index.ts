export * from "./cutBars";
export * from "./orderJob";
export * from "./orderLine";
export * from "./priceItem";

export * from "./document";
export * from "./quoteJob";
export * from "./settings";
export * from "./totals";

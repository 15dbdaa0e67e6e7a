export * from "./document";
export * from "./letterhead";
export * from "./numbering";
export * from "./quoteJob";
export * from "./settings";
export * from "./totals";

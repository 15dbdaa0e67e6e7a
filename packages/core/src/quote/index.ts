export * from "./document";
export * from "./quoteJob";
export * from "./settings";
export { openingsText, scopeOf } from "./wording";

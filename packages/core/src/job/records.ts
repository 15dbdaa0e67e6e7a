export * from "./companySettings";
export * from "./draftQuote";
export * from "./migrations";
export * from "./reckoning";
export * from "./schema";

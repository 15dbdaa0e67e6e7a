export * from "./companySettings";
export * from "./draftQuote";
export * from "./lineChanges";
export * from "./migrations";
export * from "./options";
export * from "./reckoning";
export * from "./schema";

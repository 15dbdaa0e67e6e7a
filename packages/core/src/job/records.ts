export * from "./companySettings";
export type { Cause, CauseShare, Comparison } from "./compare";
export * from "./draftQuote";
export * from "./lineChanges";
export * from "./migrations";
export * from "./options";
export * from "./reckoning";
export * from "./schema";

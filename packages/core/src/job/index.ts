export * from "./companySettings";
export * from "./migrations";
export * from "./reckonJob";
export * from "./schema";

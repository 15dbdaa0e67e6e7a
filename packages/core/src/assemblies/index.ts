export * from "./library";
export * from "./schema";

export * from "./compare";
export * from "./reckonJob";
export * from "./records";
export * from "./ways";

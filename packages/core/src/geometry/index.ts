export * from "./combine";
export * from "./point";
export * from "./polygon";
export * from "./rectangle";

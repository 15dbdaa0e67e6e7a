export * from "./boxIndex";
export * from "./combine";
export * from "./line";
export * from "./offset";
export * from "./point";
export * from "./polygon";
export * from "./rectangle";
export * from "./walked";

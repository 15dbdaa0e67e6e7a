export * from "./cutting";
export { withLongestSold } from "./longestSold";
export * from "./orderJob";
export * from "./records";
export { allowanceOf } from "./supplied";

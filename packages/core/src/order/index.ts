export * from "./cutting";
export { withLongestSold } from "./longestSold";
export * from "./orderJob";
export * from "./records";
export { allowanceOf } from "./supplied";
export { wasteOf } from "./toCut";
export { wayOf } from "./waysOfBuying";

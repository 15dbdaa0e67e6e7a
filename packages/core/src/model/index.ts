export * from "./elevation";
export * from "./modelOf";
export { ROOMS_GROUP } from "./roomSolids";
export * from "./section";
export * from "./solid";

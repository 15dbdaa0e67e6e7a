export * from "./modelOf";
export { ROOMS_GROUP } from "./roomSolids";
export * from "./solid";

export * from "./cutToProfile";
export { wallOutline } from "./draw";
export * from "./measures";
export * from "./newOpening";
export * from "./openings";
export * from "./profile";
export * from "./schema";

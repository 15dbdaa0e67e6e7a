export * from "../drawing/piece";
export * from "./build";
export * from "./courses";
export * from "./laidPart";
export * from "./piecesByRole";
export * from "./sheets";

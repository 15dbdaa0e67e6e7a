export * from "../drawing/piece";
export * from "./build";
export * from "./courses";
export * from "./layout";
export * from "./piecesByRole";
export * from "./sheets";

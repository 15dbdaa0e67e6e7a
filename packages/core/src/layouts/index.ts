export * from "./courses";
export * from "./piece";
export * from "./sheets";
export * from "./stud-wall";

export * from "./dimension";
export * from "./entry";
export * from "./framingRoles";
export * from "./partKind";
export * from "./registry";
export * from "./section";
export * from "./stud-wall";

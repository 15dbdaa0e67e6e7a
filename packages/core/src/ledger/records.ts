export * from "./costing";
export * from "./costKinds";
export * from "./group";
export * from "./ledgerLine";
export * from "./taskUnits";

export * from "./costing";
export * from "./costKinds";
export * from "./group";
export * from "./handOrMachine";
export * from "./layout";
export * from "./ledgerLine";
export * from "./taskUnits";
export * from "./taxClass";

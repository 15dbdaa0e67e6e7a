/**
 * The door for pages: records with their schemas, geometry, drawings, and what is read from counts already made. Nothing
 * here compiles, lays out, counts or cuts; that is behind `@wide-porch/core/reckoning`.
 */
export * from "./assemblies/records";
export * from "./count/records";
export type * from "./drawing/drawing";
export * from "./drawing/piece";
export type { AssemblyFileResult, FileProblem } from "./formats/assemblyFile";
export * from "./formats/jobFile";
export * from "./formats/prices";
export * from "./formats/tables";
export * from "./formats/writeAssembly";
export * from "./geometry";
export * from "./job/records";
export * from "./kinds";
export * from "./ledger/records";
export * from "./migrations/migrate";
export * from "./model";
export * from "./openRange/records";
export * from "./order/records";
export * from "./plan";
export * from "./price/records";
export * from "./problems/problem";
export * from "./quote";
export * from "./records/ownValue";
export * from "./records/recordKind";
export * from "./units";

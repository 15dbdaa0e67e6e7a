export type { BuildUp, CostLine, KindTotal, PartPrice } from "./buildUp";
export * from "./pricing";
export * from "./taskUnits";

export { type Adjusted, priceForMargin } from "./adjusted";
export type { BuildUp } from "./buildUp";
export type { CostLine } from "./costLines";
export { linePrices } from "./linePrices";
export type { PartPrice } from "./partPrices";
export { perArea } from "./perArea";
export * from "./pricing";
export type { KindTotal, Step, Steps } from "./steps";
export type { TaxShare } from "./taxes";

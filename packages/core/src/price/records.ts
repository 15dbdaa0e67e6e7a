export { type Adjusted, priceForMargin, priceForTotal } from "./adjusted";
export type { BuildUp } from "./buildUp";
export type { CostLine } from "./costLines";
export type { PartPrice } from "./partPrices";
export { perArea } from "./perArea";
export * from "./pricing";
export type { KindTotal, Step, Steps } from "./steps";

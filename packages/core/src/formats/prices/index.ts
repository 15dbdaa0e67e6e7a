export * from "./columns";
export * from "./readPrices";
export * from "./writePrices";

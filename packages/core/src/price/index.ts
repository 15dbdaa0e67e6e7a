export * from "./buildUp";
export * from "./pricing";

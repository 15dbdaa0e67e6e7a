export * from "./buildUp";
export * from "./records";

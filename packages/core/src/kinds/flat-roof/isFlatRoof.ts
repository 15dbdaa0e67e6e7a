import type { Part } from "../registry";
import type { FlatRoof } from "./schema";

export const isFlatRoof = (part: Part): part is FlatRoof => part.kind === "flat-roof";

import type { Part } from "../registry";
import type { Waterproofing } from "./schema";

export const isWaterproofing = (part: Part): part is Waterproofing => part.kind === "waterproofing";

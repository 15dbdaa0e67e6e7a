import type { Part } from "../registry";
import type { Roof } from "./schema";

export const isRoof = (part: Part): part is Roof => part.kind === "roof";

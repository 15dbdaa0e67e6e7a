import type { Part } from "../registry";
import type { Floor } from "./schema";

export const isFloor = (part: Part): part is Floor => part.kind === "floor";

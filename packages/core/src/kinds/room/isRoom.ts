import type { Part } from "../registry";
import type { Room } from "./schema";

export const isRoom = (part: Part): part is Room => part.kind === "room";

import type { Part } from "../registry";
import type { Deck } from "./schema";

export const isDeck = (part: Part): part is Deck => part.kind === "deck";

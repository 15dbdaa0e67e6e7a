import type { Part } from "../registry";
import type { StoreyPart } from "./index";

export const isStorey = (part: Part): part is StoreyPart => part.kind === "storey";

import type { Part } from "../registry";
import type { SurfacePart } from "./index";

export const isSurface = (part: Part): part is SurfacePart => part.kind === "surface";

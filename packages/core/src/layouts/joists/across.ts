import { acrossBand, type Span } from "../../joists/chords";
import type { Nanometres } from "../../units";
import type { FloorPlan } from "./floorPlan";

/** What of a line across the joists lies in the outline. */
export const acrossAt = ({ shape }: FloorPlan, u: Nanometres): Span[] => acrossBand(shape.edges, u - 1000, u + 1000);

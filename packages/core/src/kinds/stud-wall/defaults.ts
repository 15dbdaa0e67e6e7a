import { newBase } from "../../parts/base";
import { assumedDimension, unmeasured } from "../../parts/dimension";
import type { PartContext } from "../../parts/partKind";
import { inches, type MeasuringSystem, millimetres, type Nanometres } from "../../units";
import type { StudWall } from "./schema";

const HEIGHTS_NM: Record<MeasuringSystem, Nanometres> = { imperial: inches(97.125), metric: millimetres(2400) };

/** What a new wall is framed by until another is chosen. */
export const FIRST_WALL_ASSEMBLY = { id: "inside-wall", version: 1 };

/** A new wall has no length: that is the one figure only the tape can give. The rest is assumed until confirmed. */
export function studWallDefaults(id: string, name: string, context: PartContext): StudWall {
  return {
    kind: "stud-wall",
    schemaVersion: 6,
    ...newBase(id, name),
    plan: null,
    ends: { left: "free", right: "free" },
    meetings: [],
    length: unmeasured,
    height: assumedDimension(HEIGHTS_NM[context.system]),
    openings: [],
    shape: { how: "level" },
    repeats: 1,
    assembly: FIRST_WALL_ASSEMBLY,
    choices: {},
  };
}

import { newBase } from "../../parts/base";
import { assumedDimension, unmeasured } from "../../parts/dimension";
import { noFigure } from "../../parts/figure";
import type { PartContext } from "../../parts/partKind";
import { feet, type MeasuringSystem, millimetres, type Nanometres } from "../../units";
import type { MasonryWall } from "./schema";

/** Whole courses: 32 of brick, or 12 of block of 8 in. */
const HEIGHTS_NM: Record<MeasuringSystem, Nanometres> = { imperial: feet(8), metric: millimetres(2400) };

/** What a new wall is built by until another is chosen. */
export const FIRST_MASONRY_ASSEMBLY = { id: "brick-wall", version: 1 };

export const masonryWallDefaults = (id: string, name: string, { system }: PartContext): MasonryWall => ({
  kind: "masonry-wall",
  schemaVersion: 2,
  ...newBase(id, name),
  plan: null,
  ends: { left: "free", right: "free" },
  meetings: [],
  length: unmeasured,
  height: assumedDimension(HEIGHTS_NM[system]),
  openings: [],
  shape: { how: "level" },
  repeats: 1,
  assembly: FIRST_MASONRY_ASSEMBLY,
  openingArea: noFigure,
  choices: {},
});

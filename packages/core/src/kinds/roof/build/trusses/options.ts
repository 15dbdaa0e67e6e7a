import type { Section } from "../../../../kinds";
import type { RafterLayout } from "../rafters";

export type Trusses = {
  readonly layout: RafterLayout;
  readonly chord: Section;
  /** From the wall at a hip to the girder that carries its jacks, level. */
  readonly setbackMm: number;
  readonly girderPlies: number;
};

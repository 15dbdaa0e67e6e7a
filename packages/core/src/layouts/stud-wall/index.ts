import type { FramingRules } from "../../assemblies";
import type { PartContext, StudWall } from "../../parts";
import type { Problem } from "../../problems/problem";
import type { FramingPiece } from "../piece";
import { frameOf } from "./frame";
import { frameOpening } from "./openings";
import { bottomPlates, topPlates } from "./plates";
import { type StudTally, studs } from "./studs";

export { headerFor } from "./openings";
export { spliceSpan } from "./splice";
export type { StudTally } from "./studs";

export type StudWallLayout = {
  readonly pieces: readonly FramingPiece[];
  readonly tally: StudTally;
  /** Centres of the layout positions, for fixing sheets to. */
  readonly layoutCentresNm: readonly number[];
  readonly problems: readonly Problem[];
};

/**
 * Places every stick of a stud wall. The wall must be free of problems and have a length; see `studWallProblems`.
 * Layout runs from the left end: an end stud, then studs centred on each multiple of the spacing, then an end stud.
 */
export function layoutStudWall(wall: StudWall, rules: FramingRules, context: PartContext): StudWallLayout {
  const frame = frameOf(wall, rules, context);
  const placed = studs(frame);
  const openings = frame.openings.map((framed) => frameOpening(frame, framed));
  return {
    pieces: [
      ...bottomPlates(frame),
      ...topPlates(frame),
      ...placed.pieces,
      ...openings.flatMap((opening) => opening.pieces),
    ],
    tally: placed.tally,
    layoutCentresNm: frame.layoutCentresNm,
    problems: openings.flatMap((opening) => opening.problems),
  };
}

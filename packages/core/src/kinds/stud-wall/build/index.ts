import type { FramingRules } from "../../../assemblies";
import type { FramingPiece, HardwarePiece } from "../../../drawing/piece";
import type { Problem } from "../../../problems/problem";
import type { PartContext, StudWall } from "../..";
import { blocking } from "./blocking";
import { frameOf, type LongestPlate } from "./frame";
import { boltProblems, hardware } from "./hardware";
import { junctionStuds, ladderBlocks } from "./junctions";
import { frameOpening } from "./openings";
import { bottomPlates, topPlates } from "./plates";
import { type StudTally, studs } from "./studs";

export type { LongestPlate } from "./frame";
export { boltPlaces } from "./hardware";
export { headerFor } from "./openings";
export { spliceSpan } from "./splice";
export type { StudTally } from "./studs";

export type StudWallLayout = {
  readonly pieces: readonly FramingPiece[];
  readonly hardware: readonly HardwarePiece[];
  readonly tally: StudTally;
  /** Centres of the layout positions, for fixing sheets to. */
  readonly layoutCentresNm: readonly number[];
  readonly problems: readonly Problem[];
};

/**
 * Places every stick of a stud wall. The wall must be free of problems and have a length; see `studWallProblems`.
 * Layout runs from one end: an end stud, then studs centred on each multiple of the spacing, then an end stud.
 */
export function layoutStudWall(
  wall: StudWall,
  rules: FramingRules,
  context: PartContext,
  /** The longest length that the plates of a role are sold in; the rules' own while nobody says. */
  longestPlate: LongestPlate = () => rules.longestPlateNm,
): StudWallLayout {
  const frame = frameOf(wall, rules, context, longestPlate);
  const junctions = junctionStuds(frame);
  const taken = junctions.pieces.map(({ xNm, widthNm }) => ({ fromNm: xNm, toNm: xNm + widthNm }));
  const placed = studs(frame, taken);
  const openings = frame.openings.map((framed) => frameOpening(frame, framed));
  const bottom = bottomPlates(frame);
  const jambs = openings.flatMap((opening) => opening.pieces.filter((piece) => piece.role === "king"));
  const ladder = ladderBlocks(frame, [...placed.pieces, ...junctions.pieces, ...jambs]);
  const framed = [
    ...bottom,
    ...topPlates(frame),
    ...placed.pieces,
    ...junctions.pieces,
    ...ladder.pieces,
    ...openings.flatMap((opening) => opening.pieces),
  ];
  return {
    pieces: [...framed, ...blocking(frame, framed)],
    hardware: [...hardware(frame, bottom), ...junctions.clips],
    tally: placed.tally,
    layoutCentresNm: frame.layoutCentresNm,
    problems: [
      ...junctions.problems,
      ...ladder.problems,
      ...openings.flatMap((opening) => opening.problems),
      ...boltProblems(frame, bottom),
    ],
  };
}

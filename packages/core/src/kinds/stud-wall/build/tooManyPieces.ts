import type { FramingRules } from "../../../assemblies";
import { type Problem, problem } from "../../../problems/problem";
import { type FramingChoices, profileOf, type StudWall, type WallTotals } from "../..";

/** More than any wall of a house has, counted as often as it is built. A slip of a spacing lays out millions. */
export const MOST_WALL_PIECES = 40_000;
/** The smallest sheet that is sold is larger (common practice). */
const LEAST_SHEET_NM2 = 600_000_000 * 600_000_000;

/** About how many pieces a wall would be laid out in: never far below what they come to. */
function aboutHowMany(wall: StudWall, framing: FramingChoices, rules: FramingRules): number {
  const lengthNm = wall.length.valueNm ?? 0;
  const heightNm = Math.max(...profileOf(wall).map((point) => point.yNm));
  const studs = lengthNm / framing.spacing + 10 * (wall.openings.length + wall.meetings.length + 2);
  const rows = framing.blockingEvery > 0 ? heightNm / framing.blockingEvery : 0;
  const ladders = framing.meetingStyle === "ladder" ? (wall.meetings.length * heightNm) / rules.ladderSpacingNm : 0;
  const clips = (2 * heightNm) / rules.clipSpacingNm;
  const bolts = framing.anchorBolts ? lengthNm / rules.boltSpacingNm : 0;
  const faces = Number(framing.sheathed) + framing.boardsNear + framing.boardsFar;
  const sheets = (faces * lengthNm * heightNm) / LEAST_SHEET_NM2;
  return (studs * (1 + rows) + ladders + clips + bolts + sheets) * wall.repeats;
}

function aboutHowManyInAll(part: WallTotals, framing: FramingChoices): number {
  const { length, height, corners, meetings, openings } = part;
  const rows = framing.blockingEvery > 0 ? (height.valueNm ?? 0) / framing.blockingEvery : 0;
  const places = corners + meetings + openings;
  return ((length.valueNm ?? 0) / framing.spacing + 10 * places) * (1 + rows);
}

/** Told instead of laying out what no wall has. */
export const tooManyPieces = (wall: StudWall, framing: FramingChoices, rules: FramingRules): Problem | undefined =>
  tooMany(wall.name, aboutHowMany(wall, framing, rules));

export const tooManyInAll = (part: WallTotals, framing: FramingChoices): Problem | undefined =>
  tooMany(part.name, aboutHowManyInAll(part, framing));

function tooMany(name: string, about: number): Problem | undefined {
  if (about <= MOST_WALL_PIECES) return undefined;
  const said = Number(about.toPrecision(2)).toLocaleString("en");
  const message = `${name} would be about ${said} pieces; more than ${MOST_WALL_PIECES.toLocaleString("en")} are not laid out. Check its size, its spacings and how often it is built.`;
  return problem("too-many-pieces", "", message);
}

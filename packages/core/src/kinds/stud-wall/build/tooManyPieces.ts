import type { FramingRules } from "../../../assemblies";
import { type Problem, problem } from "../../../problems/problem";
import { profileOf, type StudWall, type WallTotals } from "../..";

/** More than any wall of a house has, counted as often as it is built. A slip of a spacing lays out millions. */
export const MOST_PIECES = 40_000;
/** The smallest sheet that is sold is larger (common practice). */
const LEAST_SHEET_NM2 = 600_000_000 * 600_000_000;

/** About how many pieces a wall would be laid out in: never far below what they come to. */
function aboutHowMany(wall: StudWall, rules: FramingRules): number {
  const { parameters: p } = wall;
  const lengthNm = wall.length.valueNm ?? 0;
  const heightNm = Math.max(...profileOf(wall).map((point) => point.yNm));
  const studs = lengthNm / p.spacingNm.value + 10 * (wall.openings.length + wall.meetings.length + 2);
  const rows = p.blockingEveryNm.value > 0 ? heightNm / p.blockingEveryNm.value : 0;
  const ladders = p.meetingStyle.value === "ladder" ? (wall.meetings.length * heightNm) / rules.ladderSpacingNm : 0;
  const clips = (2 * heightNm) / rules.clipSpacingNm;
  const bolts = p.anchorBolts.value ? lengthNm / rules.boltSpacingNm : 0;
  const faces = Number(p.sheathed.value) + p.boardsNear.value + p.boardsFar.value;
  const sheets = (faces * lengthNm * heightNm) / LEAST_SHEET_NM2;
  return (studs * (1 + rows) + ladders + clips + bolts + sheets) * wall.repeats;
}

function aboutHowManyInAll({ length, height, corners, meetings, openings, parameters: p }: WallTotals): number {
  const rows = p.blockingEveryNm.value > 0 ? (height.valueNm ?? 0) / p.blockingEveryNm.value : 0;
  const places = corners + meetings + openings;
  return ((length.valueNm ?? 0) / p.spacingNm.value + 10 * places) * (1 + rows);
}

/** Told instead of laying out what no wall has. */
export const tooManyPieces = (wall: StudWall, rules: FramingRules): Problem | undefined =>
  tooMany(wall.name, aboutHowMany(wall, rules));

export const tooManyInAll = (part: WallTotals): Problem | undefined => tooMany(part.name, aboutHowManyInAll(part));

function tooMany(name: string, about: number): Problem | undefined {
  if (about <= MOST_PIECES) return undefined;
  const said = Number(about.toPrecision(2)).toLocaleString("en");
  const message = `${name} would be about ${said} pieces; more than ${MOST_PIECES.toLocaleString("en")} are not laid out. Check its size, its spacings and how often it is built.`;
  return problem("too-many-pieces", "", message);
}

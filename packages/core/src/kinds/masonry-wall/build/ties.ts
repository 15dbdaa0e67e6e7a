import type { HardwarePiece } from "../../../drawing/piece";
import { type Problem, problem } from "../../../problems/problem";
import {
  formatArea,
  formatLength,
  inches,
  type MeasuringSystem,
  millimetres,
  type Nanometres,
  piecesAtSpacing,
  spacesIn,
  toMetres,
} from "../../../units";
import { headNm, openingLeft, openingRectangle, openingRight } from "../../../wall/openings";
import { heightAt, highestOf, profileOf } from "../../../wall/profile";
import type { MasonryChoices } from "../parameters";
import type { MasonryWall } from "../schema";

/** Drawn this large. */
const SIZE_NM = millimetres(20);
/** Ties at an opening stand within this of it: PD 6697 and Approved Document A, from memory. */
const FROM_OPENING_NM = millimetres(225);

const at = (role: string, id: string, xNm: Nanometres, yNm: Nanometres): HardwarePiece => ({
  id,
  role,
  xNm: Math.round(xNm - SIZE_NM / 2),
  yNm: Math.round(yNm - SIZE_NM / 2),
  widthNm: SIZE_NM,
  heightNm: SIZE_NM,
});

/**
 * Ties between leaves: in rows, every other row half a space over, and up both sides of each opening.
 *
 * 900 x 450 mm is 2.5 a square metre: PD 6697 / Approved Document A, from memory.
 */
export function tiesOf(
  wall: MasonryWall,
  { tieAlong, tieUp, tieAtOpenings, tieFreeEnds }: MasonryChoices,
): HardwarePiece[] {
  const lengthNm = wall.length.valueNm ?? 0;
  const profile = profileOf(wall);
  const holes = wall.openings.map(openingRectangle);
  const pieces: HardwarePiece[] = [];
  let row = 0;
  for (let yNm = tieUp / 2; yNm < highestOf(profile); yNm += tieUp, row += 1) {
    for (let xNm = tieAlong * (row % 2 === 0 ? 0.25 : 0.75); xNm < lengthNm; xNm += tieAlong) {
      const open = holes.some(
        (hole) => xNm > hole.xNm && xNm < hole.xNm + hole.widthNm && yNm > hole.yNm && yNm < hole.yNm + hole.heightNm,
      );
      if (!open && yNm < heightAt(profile, xNm)) pieces.push(at("wall-tie", `tie-${pieces.length + 1}`, xNm, yNm));
    }
  }
  for (const xNm of tieFreeEnds ? freeEnds(wall) : []) {
    const count = piecesAtSpacing(heightAt(profile, xNm), tieAtOpenings);
    for (let index = 0; index < count; index += 1) {
      const yNm = (heightAt(profile, xNm) * (index + 0.5)) / count;
      pieces.push(at("wall-tie", `tie-${pieces.length + 1}`, xNm, yNm));
    }
  }
  for (const opening of wall.openings) {
    const sillNm = opening.sill.valueNm ?? 0;
    const heightNm = headNm(opening) - sillNm;
    const count = piecesAtSpacing(heightNm, tieAtOpenings);
    for (const xNm of [openingLeft(opening) - FROM_OPENING_NM / 2, openingRight(opening) + FROM_OPENING_NM / 2]) {
      if (xNm <= 0 || xNm >= lengthNm) continue;
      for (let index = 0; index < count; index += 1) {
        const yNm = sillNm + (heightNm * index) / Math.max(1, count - 1);
        pieces.push(at("wall-tie", `tie-${pieces.length + 1}`, xNm, yNm));
      }
    }
  }
  return pieces;
}

/** What one tie of a brick veneer may hold, and how far apart ties may be: IRC R703.8.4 (from memory). */
const MOST_TIE_M2 = 2.67 * 0.3048 ** 2;
const MOST_ALONG_NM = inches(32);
const MOST_UP_NM = inches(24);

/** Ties wider apart than a veneer's may be: to be told, as the spacing is the builder's own. */
export function tieProblems({ buildUp, tieAlong, tieUp }: MasonryChoices, system: MeasuringSystem): Problem[] {
  const each = toMetres(tieAlong) * toMetres(tieUp);
  const within = tieAlong <= MOST_ALONG_NM && tieUp <= MOST_UP_NM && each <= MOST_TIE_M2 * 1.001;
  if (buildUp !== "veneer" || within) return [];
  const say = (nm: Nanometres) => formatLength(nm, system);
  const message = `A tie for each ${formatArea(each, system)} of veneer: one holds ${formatArea(MOST_TIE_M2, system)} at most, ${say(MOST_ALONG_NM)} along and ${say(MOST_UP_NM)} up.`;
  return [problem("ties-apart", tieUp > MOST_UP_NM ? "choices.tieUp" : "choices.tieAlong", message)];
}

/** Where ties go up the ends that stand free. */
function freeEnds({ ends, length }: MasonryWall): Nanometres[] {
  const inNm = FROM_OPENING_NM / 2;
  return [...(ends.left === "free" ? [inNm] : []), ...(ends.right === "free" ? [(length.valueNm ?? 0) - inNm] : [])];
}

/** Weep holes along the foot and over every opening, at most so far apart. */
export function weepHolesOf(wall: MasonryWall, { weepEvery }: MasonryChoices): HardwarePiece[] {
  if (weepEvery === 0) return [];
  const along = (name: string, fromNm: Nanometres, toNm: Nanometres, yNm: Nanometres) => {
    const count = Math.max(2, spacesIn(toNm - fromNm, weepEvery));
    return Array.from({ length: count }, (_, index) =>
      at("weep-hole", `weep-${name}-${index + 1}`, fromNm + ((toNm - fromNm) * (index + 0.5)) / count, yNm),
    );
  };
  return [
    ...along("foot", 0, wall.length.valueNm ?? 0, SIZE_NM),
    ...wall.openings.flatMap((opening) =>
      along(opening.id, openingLeft(opening), openingRight(opening), headNm(opening) + SIZE_NM),
    ),
  ];
}

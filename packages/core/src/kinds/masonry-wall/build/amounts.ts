import type { CoursePiece } from "../../../drawing/piece";
import { polygonArea } from "../../../geometry";
import { coursesNm, type MasonryUnit } from "../../../parts/masonryUnit";
import { areaOf, type CubicMetres, type SquareMetres, toMetres } from "../../../units";
import { openingAreaOf } from "../../../wall/measures";
import { areaUnder, heightAt, profileOf, slopeOf } from "../../../wall/profile";
import type { LeafPlan } from "../leaves";
import type { MasonryWall } from "../schema";

/** What one leaf comes to, laid out and by area. */
export type LeafAmounts = {
  readonly areaM2: SquareMetres;
  readonly whole: number;
  readonly half: number;
  readonly cut: number;
  /** To buy as laid out: of two halves one is the other's offcut, a cut one takes a unit of its own. */
  readonly laidOut: number;
  readonly byArea: number;
  /** Wet, as laid out and by area. */
  readonly mortarLaidOutM3: CubicMetres;
  readonly mortarByAreaM3: CubicMetres;
};

/** Units in a square metre of a leaf one unit thick, joints counted once. */
export const perSquareMetre = ({ unit, bedNm, perpendNm }: Pick<LeafPlan, "unit" | "bedNm" | "perpendNm">): number => {
  // Over many courses, so that three that come to 8 in are no rounded third each.
  const courseM = toMetres(coursesNm(unit, bedNm, 60)) / 60;
  return 1 / (toMetres(unit.lengthNm + perpendNm) * courseM);
};

export const volumeOf = ({ lengthNm, heightNm, thicknessNm }: MasonryUnit): CubicMetres =>
  areaOf(lengthNm, heightNm) * toMetres(thicknessNm);

/** On the leaf's own length: past the wall's ends it goes on as high as it is there. */
export function leafAreaOf(wall: MasonryWall, leaf: LeafPlan): SquareMetres {
  const profile = profileOf(wall);
  const lengthNm = wall.length.valueNm ?? 0;
  const past = toMetres(-leaf.fromNm) * toMetres(heightAt(profile, 0));
  const pastRight = toMetres(leaf.toNm - lengthNm) * toMetres(heightAt(profile, lengthNm));
  return areaUnder(profile) + past + pastRight - openingAreaOf(wall);
}

const faceOf = (piece: CoursePiece): SquareMetres =>
  piece.points ? polygonArea(piece.points) : areaOf(piece.unitNm, piece.heightNm);

export function amountsOf(wall: MasonryWall, leaf: LeafPlan, pieces: readonly CoursePiece[]): LeafAmounts {
  const areaM2 = leafAreaOf(wall, leaf);
  const tally = { whole: 0, half: 0, cut: 0 };
  let placedM3 = 0;
  for (const piece of pieces) {
    const header = piece.role.endsWith("-header");
    const is = piece.role.endsWith("-half") ? "half" : piece.role.endsWith("-cut") ? "cut" : "whole";
    tally[is] += piece.count;
    placedM3 += faceOf(piece) * toMetres(header ? leaf.thicknessNm : leaf.unit.thicknessNm) * piece.count;
  }
  const byArea = areaM2 * perSquareMetre(leaf) * leaf.deep;
  const wholeM3 = areaM2 * toMetres(leaf.thicknessNm);
  return {
    areaM2,
    ...tally,
    laidOut: tally.whole + Math.ceil(tally.half / 2) + tally.cut,
    byArea,
    mortarLaidOutM3: Math.max(0, wholeM3 - placedM3),
    mortarByAreaM3: Math.max(0, wholeM3 - byArea * volumeOf(leaf.unit)),
  };
}

/** Length of slope that units are cut along. */
export const rakingCutM = (wall: MasonryWall): number => {
  const profile = profileOf(wall);
  return profile.slice(1).reduce((sum, to, index) => {
    const from = profile[index];
    if (!from || to.xNm === from.xNm) return sum;
    const slope = slopeOf(from, to);
    return slope === 0 ? sum : sum + toMetres(to.xNm - from.xNm) * Math.hypot(1, slope);
  }, 0);
};

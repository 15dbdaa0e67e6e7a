import type { FramingRules } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import { type Nanometres, spacesIn } from "../../../units";
import {
  type FramingChoices,
  type FramingRole,
  framingOf,
  fromLeft,
  jacksPerSide,
  lowestUnderside,
  type Opening,
  openingLeft,
  openingRight,
  type PartContext,
  type Profile,
  profileOf,
  type Section,
  type StudWall,
  sectionOf,
  topPlatesNm,
  undersideAt,
} from "../..";

/** An opening with its jambs worked out. `outer` is the outside face of the last king, or of the stud that serves as it. */
export type FramedOpening = {
  readonly opening: Opening;
  readonly leftNm: Nanometres;
  readonly rightNm: Nanometres;
  readonly headNm: Nanometres;
  readonly sillNm: Nanometres;
  readonly jacks: number;
  /** Left faces of the kings that are its own. */
  readonly kingsLeftNm: readonly Nanometres[];
  readonly kingsRightNm: readonly Nanometres[];
  readonly outerLeftNm: Nanometres;
  readonly outerRightNm: Nanometres;
};

export type LongestPlate = (role: FramingRole) => Nanometres;

/** The wall's figures, resolved once for all the steps of the layout. Lengths are valid: the part was checked. */
export type Frame = {
  readonly wall: StudWall;
  readonly framing: FramingChoices;
  readonly context: PartContext;
  readonly rules: FramingRules;
  readonly longestPlate: LongestPlate;
  readonly section: Section;
  readonly thicknessNm: Nanometres;
  readonly lengthNm: Nanometres;
  readonly profile: Profile;
  readonly topPlatesNm: Nanometres;
  /** Top of the bottom plates. */
  readonly footNm: Nanometres;
  /** Underside of the top plates of a level wall; undefined where the top slopes. */
  readonly levelUndersideNm: Nanometres | undefined;
  /** Centre of each layout position between the ends: 16 in, 32 in, … from the end it starts at. */
  readonly layoutCentresNm: readonly Nanometres[];
  readonly openings: readonly FramedOpening[];
};

export function frameOf(wall: StudWall, rules: FramingRules, context: PartContext, longestPlate: LongestPlate): Frame {
  const framing = framingOf(wall, context.system);
  const section = sectionOf(context.sections, framing.studSize);
  const lengthNm = wall.length.valueNm ?? 0;
  const thicknessNm = section.thicknessNm;
  const plates = topPlatesNm(wall, context);
  const level = wall.shape.how === "level";
  const centres = layoutCentres(lengthNm, framing.spacing);
  return {
    wall,
    framing,
    context,
    rules,
    longestPlate,
    section,
    thicknessNm,
    lengthNm,
    profile: profileOf(wall),
    topPlatesNm: plates,
    footNm: framing.bottomPlates * thicknessNm,
    levelUndersideNm: level ? (wall.height.valueNm ?? 0) - plates : undefined,
    layoutCentresNm:
      framing.layoutFrom === "left" ? centres : centres.map((centreNm) => lengthNm - centreNm).toReversed(),
    openings: frameOpenings(wall, framing, thicknessNm, lengthNm),
  };
}

function layoutCentres(lengthNm: Nanometres, spacingNm: Nanometres): Nanometres[] {
  const spaces = spacesIn(lengthNm, spacingNm);
  const centres: Nanometres[] = [];
  for (let space = 1; space < spaces; space += 1) centres.push(space * spacingNm);
  return centres;
}

/** Underside of the top plates at a place, and the lowest over a stretch. */
export const undersideOf = (frame: Frame, xNm: Nanometres): Nanometres =>
  frame.levelUndersideNm ?? undersideAt(frame.profile, xNm, frame.topPlatesNm);
export const lowestUndersideOf = (frame: Frame, fromNm: Nanometres, toNm: Nanometres): Nanometres =>
  frame.levelUndersideNm ?? lowestUnderside(frame.profile, fromNm, toNm, frame.topPlatesNm);

/** Kings stand outside the jacks; where an end stud or the neighbour's king already stands there, it serves as king. */
function frameOpenings(
  wall: StudWall,
  framing: FramingChoices,
  thicknessNm: Nanometres,
  lengthNm: Nanometres,
): FramedOpening[] {
  const framed: FramedOpening[] = [];
  const kings = Array.from({ length: framing.kingsPerSide }, (_, index) => index + 1);
  for (const [index, opening] of fromLeft(wall).entries()) {
    const jacks = jacksPerSide(framing, opening);
    const [leftNm, rightNm] = [openingLeft(opening), openingRight(opening)];
    const takenUntilNm = framed[index - 1]?.outerRightNm ?? thicknessNm;
    const lefts = kings.map((king) => leftNm - (jacks + king) * thicknessNm);
    const rights = kings.map((king) => rightNm + (jacks + king - 1) * thicknessNm);
    framed.push({
      opening,
      leftNm,
      rightNm,
      headNm: (opening.sill.valueNm ?? 0) + (opening.height.valueNm ?? 0),
      sillNm: opening.sill.valueNm ?? 0,
      jacks,
      kingsLeftNm: lefts.filter((xNm) => xNm >= takenUntilNm),
      kingsRightNm: rights.filter((xNm) => xNm <= lengthNm - 2 * thicknessNm),
      outerLeftNm: leftNm - (jacks + kings.length) * thicknessNm,
      outerRightNm: rightNm + (jacks + kings.length) * thicknessNm,
    });
  }
  return framed;
}

type Upright = {
  readonly role: FramingRole;
  readonly id: string;
  readonly xNm: Nanometres;
  readonly fromNm: Nanometres;
  readonly openingId?: string;
  /** Turned to show its wide face. */
  readonly flat?: boolean;
};

/** A piece standing up to a height. */
export function uprightTo(frame: Frame, upright: Upright, toNm: Nanometres): FramingPiece {
  const { fromNm, flat } = upright;
  const heightNm = toNm - fromNm;
  // Field by field, and always in the same order: thousands of them are made at each count.
  return {
    id: upright.id,
    role: upright.role,
    sectionId: frame.section.id,
    cutLengthNm: heightNm,
    openingId: upright.openingId,
    xNm: upright.xNm,
    yNm: fromNm,
    widthNm: flat ? frame.section.depthNm : frame.thicknessNm,
    heightNm,
    flat,
  };
}

/** A piece standing up to the top plates: cut to their slope, and as long as its longer side. */
export function uprightToPlates(frame: Frame, upright: Upright): FramingPiece {
  const { xNm, fromNm } = upright;
  if (frame.levelUndersideNm !== undefined) return uprightTo(frame, upright, frame.levelUndersideNm);
  const widthNm = upright.flat ? frame.section.depthNm : frame.thicknessNm;
  const [leftNm, rightNm] = [undersideOf(frame, xNm), undersideOf(frame, xNm + widthNm)];
  const piece = uprightTo(frame, upright, Math.max(leftNm, rightNm));
  if (leftNm === rightNm) return piece;
  const points = [
    { xNm, yNm: fromNm },
    { xNm: xNm + widthNm, yNm: fromNm },
    { xNm: xNm + widthNm, yNm: rightNm },
    { xNm, yNm: leftNm },
  ];
  return { ...piece, points };
}

type Lying = {
  readonly role: FramingRole;
  readonly id: string;
  readonly yNm: Nanometres;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  readonly openingId?: string;
};

/** A piece lying flat. */
export function lying(frame: Frame, piece: Lying): FramingPiece {
  const widthNm = piece.toNm - piece.fromNm;
  return {
    id: piece.id,
    role: piece.role,
    sectionId: frame.section.id,
    cutLengthNm: widthNm,
    openingId: piece.openingId,
    xNm: piece.fromNm,
    yNm: piece.yNm,
    widthNm,
    heightNm: frame.thicknessNm,
    flat: undefined,
  };
}

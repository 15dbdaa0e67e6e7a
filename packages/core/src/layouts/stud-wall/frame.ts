import type { FramingRules } from "../../assemblies";
import {
  type FramingRole,
  fromLeft,
  jacksPerSide,
  type Opening,
  openingLeft,
  openingRight,
  type PartContext,
  type Section,
  type StudWall,
  sectionOf,
  undersideOfTopPlatesNm,
} from "../../parts";
import { type Nanometres, spacesIn } from "../../units";
import type { FramingPiece } from "../piece";

/** An opening with its jambs worked out. `outer` is the outside face of the king stud, or of the stud that serves as it. */
export type FramedOpening = {
  readonly opening: Opening;
  readonly leftNm: Nanometres;
  readonly rightNm: Nanometres;
  readonly headNm: Nanometres;
  readonly sillNm: Nanometres;
  readonly jacks: number;
  readonly kingLeftNm: Nanometres | undefined;
  readonly kingRightNm: Nanometres | undefined;
  readonly outerLeftNm: Nanometres;
  readonly outerRightNm: Nanometres;
};

/** The wall's figures, resolved once for all the steps of the layout. Lengths are valid: the part was checked. */
export type Frame = {
  readonly wall: StudWall;
  readonly context: PartContext;
  readonly rules: FramingRules;
  readonly section: Section;
  readonly thicknessNm: Nanometres;
  readonly lengthNm: Nanometres;
  readonly heightNm: Nanometres;
  /** Top of the bottom plates, and underside of the top plates. */
  readonly footNm: Nanometres;
  readonly undersideNm: Nanometres;
  /** Centre of each layout position between the ends: 16 in, 32 in, … from the left end of the wall. */
  readonly layoutCentresNm: readonly Nanometres[];
  readonly openings: readonly FramedOpening[];
};

export function frameOf(wall: StudWall, rules: FramingRules, context: PartContext): Frame {
  const section = sectionOf(context.sections, wall.parameters.studSize.value);
  const lengthNm = wall.length.valueNm ?? 0;
  const thicknessNm = section.thicknessNm;
  return {
    wall,
    context,
    rules,
    section,
    thicknessNm,
    lengthNm,
    heightNm: wall.height.valueNm ?? 0,
    footNm: wall.parameters.bottomPlates.value * thicknessNm,
    undersideNm: undersideOfTopPlatesNm(wall, context),
    layoutCentresNm: layoutCentres(lengthNm, wall.parameters.spacingNm.value),
    openings: frameOpenings(fromLeft(wall), thicknessNm, lengthNm),
  };
}

function layoutCentres(lengthNm: Nanometres, spacingNm: Nanometres): Nanometres[] {
  const spaces = spacesIn(lengthNm, spacingNm);
  return Array.from({ length: Math.max(0, spaces - 1) }, (_, index) => (index + 1) * spacingNm);
}

/** Kings stand outside the jacks; where an end stud or the neighbour's king already stands there, it serves as king. */
function frameOpenings(openings: readonly Opening[], thicknessNm: Nanometres, lengthNm: Nanometres): FramedOpening[] {
  const framed: FramedOpening[] = [];
  for (const [index, opening] of openings.entries()) {
    const jacks = jacksPerSide(opening);
    const outerLeftNm = openingLeft(opening) - (jacks + 1) * thicknessNm;
    const outerRightNm = openingRight(opening) + (jacks + 1) * thicknessNm;
    const takenUntilNm = framed[index - 1]?.outerRightNm ?? thicknessNm;
    framed.push({
      opening,
      leftNm: openingLeft(opening),
      rightNm: openingRight(opening),
      headNm: (opening.sill.valueNm ?? 0) + (opening.height.valueNm ?? 0),
      sillNm: opening.sill.valueNm ?? 0,
      jacks,
      kingLeftNm: outerLeftNm >= takenUntilNm ? outerLeftNm : undefined,
      kingRightNm: outerRightNm <= lengthNm - thicknessNm ? outerRightNm - thicknessNm : undefined,
      outerLeftNm,
      outerRightNm,
    });
  }
  return framed;
}

/** A piece standing up. */
export function upright(
  frame: Frame,
  role: FramingRole,
  id: string,
  xNm: Nanometres,
  fromNm: Nanometres,
  toNm: Nanometres,
  openingId?: string,
): FramingPiece {
  const heightNm = toNm - fromNm;
  const { thicknessNm: widthNm } = frame;
  return {
    id,
    role,
    sectionId: frame.section.id,
    cutLengthNm: heightNm,
    openingId,
    xNm,
    yNm: fromNm,
    widthNm,
    heightNm,
  };
}

/** A piece lying flat. */
export function lying(
  frame: Frame,
  role: FramingRole,
  id: string,
  yNm: Nanometres,
  fromNm: Nanometres,
  toNm: Nanometres,
  openingId?: string,
): FramingPiece {
  const widthNm = toNm - fromNm;
  const { thicknessNm: heightNm } = frame;
  return {
    id,
    role,
    sectionId: frame.section.id,
    cutLengthNm: widthNm,
    openingId,
    xNm: fromNm,
    yNm,
    widthNm,
    heightNm,
  };
}

import { feet, inches, type MeasuringSystem, millimetres, type Nanometres } from "../../units";
import { newBase } from "../base";
import { assumedDimension, unmeasured } from "../dimension";
import type { PartContext } from "../partKind";
import { roomForOpening } from "./fit";
import { newFramingParameters } from "./parameters";
import type { Opening, StudWall } from "./schema";

const HEIGHTS_NM: Record<MeasuringSystem, Nanometres> = { imperial: inches(97.125), metric: millimetres(2400) };

/** What a new wall is framed by until another is chosen. */
export const FIRST_WALL_ASSEMBLY = { id: "inside-wall", version: 1 };

/** A new wall has no length: that is the one figure only the tape can give. The rest is assumed until confirmed. */
export function studWallDefaults(id: string, name: string, context: PartContext): StudWall {
  return {
    kind: "stud-wall",
    schemaVersion: 5,
    ...newBase(id, name),
    plan: null,
    ends: { left: "free", right: "free" },
    meetings: [],
    length: unmeasured,
    height: assumedDimension(HEIGHTS_NM[context.system]),
    openings: [],
    shape: { how: "level" },
    repeats: 1,
    assembly: FIRST_WALL_ASSEMBLY,
    parameters: newFramingParameters(context.system),
    choices: {},
  };
}

/** Rough openings to start from. A 6 ft 8 in door unit plus 2 in and 2 1/2 in: common practice. */
export const OPENING_SIZES: Record<
  MeasuringSystem,
  Record<Opening["kind"], { widthNm: number; heightNm: number; sillNm: number }>
> = {
  imperial: {
    door: { widthNm: inches(38), heightNm: inches(82.5), sillNm: 0 },
    window: { widthNm: feet(3), heightNm: feet(4), sillNm: inches(34) },
    plain: { widthNm: feet(3), heightNm: inches(82.5), sillNm: 0 },
  },
  metric: {
    door: { widthNm: millimetres(890), heightNm: millimetres(2070), sillNm: 0 },
    window: { widthNm: millimetres(900), heightNm: millimetres(1050), sillNm: millimetres(1000) },
    plain: { widthNm: millimetres(900), heightNm: millimetres(2070), sillNm: 0 },
  },
};

const OPENING_WORDS: Record<Opening["kind"], string> = { door: "Door", window: "Window", plain: "Opening" };

/**
 * A new opening of a kind, sized by default and put in the middle of the widest free stretch, all assumed.
 * Undefined when the wall has no length yet or no room for it.
 */
export function newOpening(
  wall: StudWall,
  kind: Opening["kind"],
  id: string,
  context: PartContext,
): Opening | undefined {
  const size = OPENING_SIZES[context.system][kind];
  const number = wall.openings.filter((opening) => opening.kind === kind).length + 1;
  const positionNm = roomForOpening(wall, size.widthNm, context);
  if (positionNm === undefined) return undefined;
  return {
    id,
    kind,
    name: `${OPENING_WORDS[kind]} ${number}`,
    measuredAs: "rough",
    along: "from-left",
    width: assumedDimension(size.widthNm),
    height: assumedDimension(size.heightNm),
    sill: assumedDimension(size.sillNm),
    position: assumedDimension(positionNm),
  };
}

import { feet, inches, type MeasuringSystem, millimetres, type Nanometres } from "../../units";
import { newBase } from "../base";
import { assumedChoice, assumedDimension, unmeasured } from "../dimension";
import type { PartContext } from "../partKind";
import { roomForOpening } from "./fit";
import type { Opening, StudWall } from "./schema";

const DEFAULTS = {
  imperial: { studSize: "2x4", spacingNm: inches(16), heightNm: inches(97.125) },
  metric: { studSize: "38x89", spacingNm: millimetres(600), heightNm: millimetres(2400) },
} as const;

/** Spacings a builder picks from; both lists are common practice. */
export const SPACINGS_NM: Record<MeasuringSystem, readonly Nanometres[]> = {
  imperial: [inches(12), inches(16), inches(19.2), inches(24)],
  metric: [millimetres(300), millimetres(400), millimetres(450), millimetres(600)],
};

/** A new wall has no length: that is the one figure only the tape can give. The rest is assumed until confirmed. */
export function studWallDefaults(id: string, name: string, context: PartContext): StudWall {
  const start = DEFAULTS[context.system];
  return {
    kind: "stud-wall",
    schemaVersion: 2,
    ...newBase(id, name),
    plan: null,
    ends: { left: "free", right: "free" },
    meetings: [],
    length: unmeasured,
    height: assumedDimension(start.heightNm),
    openings: [],
    parameters: {
      studSize: assumedChoice<string>(start.studSize),
      spacingNm: assumedChoice<number>(start.spacingNm),
      bottomPlates: assumedChoice(1),
      topPlates: assumedChoice(2),
      bearing: assumedChoice(false),
      sheathed: assumedChoice(false),
    },
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
    width: assumedDimension(size.widthNm),
    height: assumedDimension(size.heightNm),
    sill: assumedDimension(size.sillNm),
    position: assumedDimension(positionNm),
  };
}

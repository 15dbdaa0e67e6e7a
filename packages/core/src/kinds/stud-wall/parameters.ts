import { z } from "zod";
import type { SlotParameter } from "../../parts/slot";
import { parametersBy, sameInBothSystems } from "../../parts/slotParameter";
import { feet, inches, type MeasuringSystem, millimetres } from "../../units";
import { choiceWords } from "./choiceWords";

export const CORNER_STYLES = ["two-stud", "three-stud", "four-stud"] as const;
export type CornerStyle = (typeof CORNER_STYLES)[number];
export const MEETING_STYLES = ["extra-studs", "ladder"] as const;
export type MeetingStyle = (typeof MEETING_STYLES)[number];

const lengthNm = (leastNm: number, mostNm: number) => z.int().min(leastNm).max(mostNm);
const layers = z.int().min(0).max(3);
const LARGEST_ALLOWANCE_NM = inches(12);
/** Studs nearer than this, or rows of blocking, are none that anybody builds (common practice). */
export const LEAST_SPACING_NM = millimetres(200);
export const LEAST_BLOCKING_NM = millimetres(300);

/** Everything that laying out a stud wall asks for. Lengths are whole nanometres. */
export const framingChoicesSchema = z.object({
  studSize: z.string().min(1).max(40),
  spacing: lengthNm(LEAST_SPACING_NM, 1_300_000_000),
  layoutFrom: z.enum(["left", "right"]),
  bottomPlates: z.int().min(1).max(3),
  /** The lowest bottom plate lies on concrete or masonry. */
  treatedPlate: z.boolean(),
  topPlates: z.int().min(1).max(3),
  bearing: z.boolean(),
  cornerStyle: z.enum(CORNER_STYLES),
  meetingStyle: z.enum(MEETING_STYLES),
  kingsPerSide: z.int().min(1).max(3),
  /** Openings wider than this take two jacks a side. */
  twoJacksFrom: lengthNm(0, feet(40)),
  sillPlies: z.int().min(1).max(2),
  headerPacking: z.boolean(),
  /** A row of blocking for each such stretch of stud height; 0 for none. */
  blockingEvery: z.union([z.literal(0), lengthNm(LEAST_BLOCKING_NM, feet(20))]),
  studsFrom: z.enum(["timber", "precut"]),
  sheathed: z.boolean(),
  boardsNear: layers,
  boardsFar: layers,
  insulated: z.boolean(),
  membrane: z.boolean(),
  anchorBolts: z.boolean(),
  holdDowns: z.boolean(),
  /** What a rough opening is larger than the unit that goes in it. */
  doorAllowanceWidth: lengthNm(0, LARGEST_ALLOWANCE_NM),
  doorAllowanceHeight: lengthNm(0, LARGEST_ALLOWANCE_NM),
  windowAllowance: lengthNm(0, LARGEST_ALLOWANCE_NM),
});
export type FramingChoices = z.infer<typeof framingChoicesSchema>;
export type FramingChoice = keyof FramingChoices;

const of = parametersBy(framingChoicesSchema.shape, choiceWords);

/** Openings wider than this take two jack studs a side (common practice). */
export const TWO_JACKS_FROM_NM = inches(72);

/**
 * In the order a builder settles them, with what a wall is built of until its assembly, the house or a person says otherwise.
 * A door unit plus 2 in and 2 1/2 in, a window plus 1/2 in each way where its maker says nothing else: common practice.
 */
export const FRAMING_PARAMETERS: readonly SlotParameter[] = [
  of("bearing", "Bearing", "yes-no", sameInBothSystems(false), true),
  of("studSize", "Stud size", "section", { imperial: "2x4", metric: "38x89" }, true),
  of("spacing", "Stud spacing", "length", { imperial: inches(16), metric: millimetres(600) }, true),
  of("bottomPlates", "Bottom plates", "number", sameInBothSystems(1), true),
  of("topPlates", "Top plates", "number", sameInBothSystems(2), true),
  of("sheathed", "Sheathing outside", "yes-no", sameInBothSystems(false), true),
  of("treatedPlate", "Treated bottom plate", "yes-no", sameInBothSystems(false)),
  of("layoutFrom", "Layout starts from", "choice", sameInBothSystems("left")),
  of("studsFrom", "Studs", "choice", sameInBothSystems("timber")),
  of("cornerStyle", "Corners", "choice", sameInBothSystems("three-stud")),
  of("meetingStyle", "Where walls meet", "choice", sameInBothSystems("extra-studs")),
  of("kingsPerSide", "King studs a side", "number", sameInBothSystems(1)),
  of("twoJacksFrom", "Two jacks over", "length", sameInBothSystems(TWO_JACKS_FROM_NM)),
  of("sillPlies", "Sill plies", "number", sameInBothSystems(1)),
  of("headerPacking", "Header packed to the wall", "yes-no", sameInBothSystems(false)),
  of("blockingEvery", "Blocking every", "length", sameInBothSystems(0)),
  of("boardsNear", "Board layers, this side", "number", sameInBothSystems(0)),
  of("boardsFar", "Board layers, far side", "number", sameInBothSystems(0)),
  of("insulated", "Insulation between studs", "yes-no", sameInBothSystems(false)),
  of("membrane", "Membrane", "yes-no", sameInBothSystems(false)),
  of("anchorBolts", "Anchor bolts", "yes-no", sameInBothSystems(false)),
  of("holdDowns", "Hold-downs at the ends", "yes-no", sameInBothSystems(false)),
  of("doorAllowanceWidth", "Rough opening over a door unit, width", "length", {
    imperial: inches(2),
    metric: millimetres(50),
  }),
  of("doorAllowanceHeight", "Rough opening over a door unit, height", "length", {
    imperial: inches(2.5),
    metric: millimetres(65),
  }),
  of("windowAllowance", "Rough opening over a window unit, each way", "length", {
    imperial: inches(0.5),
    metric: millimetres(12),
  }),
];

/** Spacings a builder picks from; both lists are common practice. */
export const SPACINGS_NM: Record<MeasuringSystem, readonly number[]> = {
  imperial: [inches(12), inches(16), inches(19.2), inches(24)],
  metric: [millimetres(300), millimetres(400), millimetres(450), millimetres(600)],
};

/** All of it as usual, for what has not been settled yet. */
export const usualFraming = (system: MeasuringSystem): FramingChoices =>
  framingChoicesSchema.parse(Object.fromEntries(FRAMING_PARAMETERS.map(({ name, usual }) => [name, usual?.[system]])));

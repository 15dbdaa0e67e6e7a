import { z } from "zod";
import { assumedChoice, chosenSchema } from "../../parts/dimension";
import type { ParameterKind } from "../../parts/slot";
import { feet, inches, type MeasuringSystem, millimetres } from "../../units";

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

/** Everything that laying out a stud wall asks for, each with whether a person has confirmed it. */
export const framingParametersSchema = z.object({
  studSize: chosenSchema(z.string().min(1).max(40)),
  spacingNm: chosenSchema(lengthNm(LEAST_SPACING_NM, 1_300_000_000)),
  layoutFrom: chosenSchema(z.enum(["left", "right"])),
  bottomPlates: chosenSchema(z.int().min(1).max(3)),
  /** The lowest bottom plate lies on concrete or masonry. */
  treatedPlate: chosenSchema(z.boolean()),
  topPlates: chosenSchema(z.int().min(1).max(3)),
  bearing: chosenSchema(z.boolean()),
  cornerStyle: chosenSchema(z.enum(CORNER_STYLES)),
  meetingStyle: chosenSchema(z.enum(MEETING_STYLES)),
  kingsPerSide: chosenSchema(z.int().min(1).max(3)),
  /** Openings wider than this take two jacks a side. */
  twoJacksFromNm: chosenSchema(lengthNm(0, feet(40))),
  sillPlies: chosenSchema(z.int().min(1).max(2)),
  headerPacking: chosenSchema(z.boolean()),
  /** A row of blocking for each such stretch of stud height; 0 for none. */
  blockingEveryNm: chosenSchema(z.union([z.literal(0), lengthNm(LEAST_BLOCKING_NM, feet(20))])),
  studsFrom: chosenSchema(z.enum(["timber", "precut"])),
  sheathed: chosenSchema(z.boolean()),
  boardsNear: chosenSchema(layers),
  boardsFar: chosenSchema(layers),
  insulated: chosenSchema(z.boolean()),
  membrane: chosenSchema(z.boolean()),
  anchorBolts: chosenSchema(z.boolean()),
  holdDowns: chosenSchema(z.boolean()),
  /** What a rough opening is larger than the unit that goes in it. */
  doorAllowanceWidthNm: chosenSchema(lengthNm(0, LARGEST_ALLOWANCE_NM)),
  doorAllowanceHeightNm: chosenSchema(lengthNm(0, LARGEST_ALLOWANCE_NM)),
  windowAllowanceNm: chosenSchema(lengthNm(0, LARGEST_ALLOWANCE_NM)),
});
export type FramingParameters = z.infer<typeof framingParametersSchema>;
export type ParameterName = keyof FramingParameters;

export type FramingParameter = {
  readonly key: ParameterName;
  /** The name formulas and assemblies know it by. */
  readonly name: string;
  readonly label: string;
  readonly kind: ParameterKind;
  /** An open point until confirmed; the others follow the house quietly. */
  readonly asked: boolean;
};

const of = (key: ParameterName, label: string, kind: ParameterKind, asked = false): FramingParameter => ({
  key,
  name: key.replace(/Nm$/, ""),
  label,
  kind,
  asked,
});

/** In the order a builder settles them. */
export const FRAMING_PARAMETERS: readonly FramingParameter[] = [
  of("bearing", "Bearing", "yes-no", true),
  of("studSize", "Stud size", "section", true),
  of("spacingNm", "Stud spacing", "length", true),
  of("bottomPlates", "Bottom plates", "number", true),
  of("topPlates", "Top plates", "number", true),
  of("sheathed", "Sheathing outside", "yes-no", true),
  of("treatedPlate", "Treated bottom plate", "yes-no"),
  of("layoutFrom", "Layout starts from", "choice"),
  of("studsFrom", "Studs", "choice"),
  of("cornerStyle", "Corners", "choice"),
  of("meetingStyle", "Where walls meet", "choice"),
  of("kingsPerSide", "King studs a side", "number"),
  of("twoJacksFromNm", "Two jacks over", "length"),
  of("sillPlies", "Sill plies", "number"),
  of("headerPacking", "Header packed to the wall", "yes-no"),
  of("blockingEveryNm", "Blocking every", "length"),
  of("boardsNear", "Board layers, this side", "number"),
  of("boardsFar", "Board layers, far side", "number"),
  of("insulated", "Insulation between studs", "yes-no"),
  of("membrane", "Membrane", "yes-no"),
  of("anchorBolts", "Anchor bolts", "yes-no"),
  of("holdDowns", "Hold-downs at the ends", "yes-no"),
  of("doorAllowanceWidthNm", "Rough opening over a door unit, width", "length"),
  of("doorAllowanceHeightNm", "Rough opening over a door unit, height", "length"),
  of("windowAllowanceNm", "Rough opening over a window unit, each way", "length"),
];

export const PARAMETER_NAMES = FRAMING_PARAMETERS.map((parameter) => parameter.key);

export const framingParameter = (key: ParameterName): FramingParameter => {
  const found = FRAMING_PARAMETERS.find((parameter) => parameter.key === key);
  if (!found) throw new Error(`framingParameter: "${key}" is not described`);
  return found;
};

/** Whether a value can stand for a framing choice, by what the trade builds. */
export const standsForFraming = (key: ParameterName, value: unknown): boolean =>
  framingParametersSchema.shape[key].safeParse({ value, assumed: true }).success;

/** What a choice of a few can be; undefined for what is no such choice. */
export function framingChoicesOf(key: ParameterName): readonly string[] | undefined {
  const { value } = framingParametersSchema.shape[key].shape;
  return value instanceof z.ZodEnum ? value.options.map(String) : undefined;
}

/** Spacings a builder picks from; both lists are common practice. */
export const SPACINGS_NM: Record<MeasuringSystem, readonly number[]> = {
  imperial: [inches(12), inches(16), inches(19.2), inches(24)],
  metric: [millimetres(300), millimetres(400), millimetres(450), millimetres(600)],
};

/** Openings wider than this take two jack studs a side (common practice). */
export const TWO_JACKS_FROM_NM = inches(72);

/** What a wall is built of until its assembly, the house or a person says otherwise: all of it assumed. */
export const newFramingParameters = (system: MeasuringSystem): FramingParameters => ({
  studSize: assumedChoice<string>(system === "imperial" ? "2x4" : "38x89"),
  spacingNm: assumedChoice<number>(system === "imperial" ? inches(16) : millimetres(600)),
  bottomPlates: assumedChoice(1),
  topPlates: assumedChoice(2),
  bearing: assumedChoice(false),
  sheathed: assumedChoice(false),
  ...unaskedFramingParameters(),
  ...unitAllowances(system),
});

/** A door unit plus 2 in and 2 1/2 in, a window plus 1/2 in each way where its maker says nothing else: common practice. */
export const unitAllowances = (system: MeasuringSystem) => ({
  doorAllowanceWidthNm: assumedChoice<number>(system === "imperial" ? inches(2) : millimetres(50)),
  doorAllowanceHeightNm: assumedChoice<number>(system === "imperial" ? inches(2.5) : millimetres(65)),
  windowAllowanceNm: assumedChoice<number>(system === "imperial" ? inches(0.5) : millimetres(12)),
});

/** The choices that walls of version 2 did not have yet: none of them adds a piece. */
export const unaskedFramingParameters = () => ({
  layoutFrom: assumedChoice("left" as const),
  treatedPlate: assumedChoice(false),
  cornerStyle: assumedChoice("three-stud" as const),
  meetingStyle: assumedChoice("extra-studs" as const),
  kingsPerSide: assumedChoice(1),
  twoJacksFromNm: assumedChoice<number>(TWO_JACKS_FROM_NM),
  sillPlies: assumedChoice(1),
  headerPacking: assumedChoice(false),
  blockingEveryNm: assumedChoice(0),
  studsFrom: assumedChoice("timber" as const),
  boardsNear: assumedChoice(0),
  boardsFar: assumedChoice(0),
  insulated: assumedChoice(false),
  membrane: assumedChoice(false),
  anchorBolts: assumedChoice(false),
  holdDowns: assumedChoice(false),
});

import { z } from "zod";
import type { SlotParameter } from "../../parts/slot";
import { parametersBy, sameInBothSystems } from "../../parts/slotParameter";
import { inches, type MeasuringSystem, millimetres } from "../../units";
import { masonryWords } from "./choiceWords";

export const BUILD_UPS = ["one-leaf", "bonded", "cavity", "veneer", "stone"] as const;
export type MasonryBuildUp = (typeof BUILD_UPS)[number];
export const BONDS = ["stretcher", "english", "flemish", "stack"] as const;

const lengthNm = (least: number, most: number) => z.int().min(least).max(most);
const orNone = (least: number, most: number) => z.union([z.literal(0), lengthNm(least, most)]);
const unitId = z.string().min(1).max(40);
/** Thinner ones bed nothing, thicker ones are no joint. */
const jointNm = lengthNm(millimetres(3), millimetres(60));

/** Everything that laying out masonry asks for. Lengths are whole nanometres. */
export const masonryChoicesSchema = z.object({
  buildUp: z.enum(BUILD_UPS),
  /** Of the outer leaf, or the only one. */
  unit: unitId,
  innerUnit: unitId,
  cavity: lengthNm(millimetres(20), millimetres(300)),
  /** Within the cavity; 0 for none. */
  insulation: orNone(millimetres(10), millimetres(300)),
  bond: z.enum(BONDS),
  layFrom: z.enum(["left", "right"]),
  joints: z.enum(["unit", "own"]),
  bedJoint: jointNm,
  perpendJoint: jointNm,
  /** What the first course stands on, above the foot of the wall. */
  firstCourse: lengthNm(0, millimetres(600)),
  openingSizes: z.enum(["work", "coordinating"]),
  method: z.enum(["laid-out", "by-area"]),
  lintels: z.boolean(),
  lintelBearing: lengthNm(millimetres(50), millimetres(600)),
  lintelsDisplace: z.boolean(),
  /** Units on end over each opening. */
  soldiers: z.boolean(),
  tieAlong: lengthNm(millimetres(200), millimetres(1200)),
  tieUp: lengthNm(millimetres(150), millimetres(900)),
  tieAtOpenings: lengthNm(millimetres(100), millimetres(1000)),
  /** Ends that no wall returns from are tied as the sides of an opening are. */
  tieFreeEnds: z.boolean(),
  dampCourse: z.boolean(),
  weepEvery: orNone(millimetres(200), millimetres(1500)),
  movementEvery: orNone(millimetres(1000), millimetres(20_000)),
  /** A row of bed reinforcement each so many courses; 0 for none. */
  reinforceEvery: z.int().min(0).max(20),
  /** Of a stone wall, from face to face; 0 is as thick as its stone. */
  stoneThickness: orNone(millimetres(50), millimetres(1500)),
  stoneFaces: z.int().min(1).max(2),
});
export type MasonryChoices = z.infer<typeof masonryChoicesSchema>;
export type MasonryChoice = keyof MasonryChoices;

type Applies = NonNullable<SlotParameter["applies"]>;
const builtAs =
  (...wanted: readonly MasonryBuildUp[]): Applies =>
  (others) =>
    wanted.some((each) => each === others.get("buildUp"));
const laidInCourses = builtAs("one-leaf", "bonded", "cavity", "veneer");
const tied = builtAs("cavity", "veneer");
const ownJoints: Applies = (others) => others.get("joints") === "own";
const withLintels: Applies = (others) => others.get("lintels") === true;

/** What comes to something only beside certain others: nobody is asked for the ties of a single leaf. */
const APPLIES: { readonly [K in MasonryChoice]?: Applies } = {
  innerUnit: builtAs("cavity"),
  cavity: builtAs("cavity"),
  insulation: builtAs("cavity"),
  bond: laidInCourses,
  method: laidInCourses,
  layFrom: laidInCourses,
  bedJoint: ownJoints,
  perpendJoint: ownJoints,
  firstCourse: laidInCourses,
  lintelBearing: withLintels,
  lintelsDisplace: (others) => withLintels(others) && laidInCourses(others),
  // Where a lintel stands in place of units, they have no place.
  soldiers: (others) =>
    builtAs("one-leaf", "cavity", "veneer")(others) && !(withLintels(others) && others.get("lintelsDisplace") === true),
  tieAlong: tied,
  tieUp: tied,
  tieAtOpenings: tied,
  tieFreeEnds: tied,
  weepEvery: tied,
  stoneThickness: builtAs("stone"),
  stoneFaces: builtAs("stone"),
};

const of = parametersBy(masonryChoicesSchema.shape, masonryWords, APPLIES);

/**
 * In the order a builder settles them. Ties and lintel bearings: see `build/ties` and the starter assemblies; movement joints
 * at 12 m of clay and 6 m of block, 25 ft of US brick, are common practice and are set by the assembly.
 */
export const MASONRY_PARAMETERS: readonly SlotParameter[] = [
  of("buildUp", "Built as", "choice", sameInBothSystems("one-leaf"), true),
  of("unit", "Unit", "unit", { imperial: "brick-modular", metric: "brick-215" }, true),
  of("innerUnit", "Unit of the inner leaf", "unit", { imperial: "block-4", metric: "block-440-100" }),
  of("cavity", "Cavity", "length", { imperial: inches(2), metric: millimetres(100) }),
  of("insulation", "Insulation in the cavity", "length", sameInBothSystems(0)),
  of("bond", "Bond", "choice", sameInBothSystems("stretcher")),
  of("layFrom", "Laid from", "choice", sameInBothSystems("left")),
  of("joints", "Joints", "choice", sameInBothSystems("unit")),
  of("bedJoint", "Bed joint, where its own", "length", { imperial: inches(0.375), metric: millimetres(10) }),
  of("perpendJoint", "Perpend joint, where its own", "length", { imperial: inches(0.375), metric: millimetres(10) }),
  of("firstCourse", "First course stands on", "length", sameInBothSystems(0)),
  of("openingSizes", "Sizes of openings are", "choice", sameInBothSystems("work")),
  of("method", "Counted", "choice", sameInBothSystems("laid-out")),
  of("lintels", "Lintels over openings", "yes-no", sameInBothSystems(true)),
  of("lintelBearing", "Lintel bearing at each end", "length", { imperial: inches(4), metric: millimetres(150) }),
  of("lintelsDisplace", "Lintels stand in place of units", "yes-no", sameInBothSystems(true)),
  of("soldiers", "Soldier course over openings", "yes-no", sameInBothSystems(false)),
  of("tieAlong", "Ties apart along", "length", { imperial: inches(24), metric: millimetres(900) }),
  of("tieUp", "Ties apart up", "length", { imperial: inches(16), metric: millimetres(450) }),
  of("tieAtOpenings", "Ties apart at openings", "length", { imperial: inches(36), metric: millimetres(300) }),
  of("tieFreeEnds", "Ties up ends that stand free", "yes-no", sameInBothSystems(false)),
  of("dampCourse", "Damp-proof course", "yes-no", sameInBothSystems(true)),
  of("weepEvery", "Weep holes every", "length", { imperial: inches(33), metric: millimetres(900) }),
  of("movementEvery", "Movement joints at most every", "length", sameInBothSystems(0)),
  of("reinforceEvery", "Courses between bed reinforcement", "number", sameInBothSystems(0)),
  of("stoneThickness", "Stone wall, face to face", "length", sameInBothSystems(0)),
  of("stoneFaces", "Faces of stone", "number", sameInBothSystems(1)),
];

/** All of it as usual, for what has not been settled yet. */
export const usualMasonry = (system: MeasuringSystem): MasonryChoices =>
  masonryChoicesSchema.parse(Object.fromEntries(MASONRY_PARAMETERS.map(({ name, usual }) => [name, usual?.[system]])));

import { z } from "zod";
import { choicesInForce, choicesSlot, type WithChoices } from "../parts/choicesSlot";
import type { Slot, SlotParameter } from "../parts/slot";
import { parametersBy, sameInBothSystems } from "../parts/slotParameter";
import type { Scalar } from "../parts/use";
import { feet, inches, type MeasuringSystem, metres, millimetres } from "../units";
import { BAR_IDS, BAR_SIZES } from "./bars";
import { MESH_SHEET_IDS, MESH_SHEETS } from "./meshSheets";

const lengthNm = (least: number, most: number) => z.int().min(least).max(most);
const orNone = (least: number, most: number) => z.union([z.literal(0), lengthNm(least, most)]);
const layer = orNone(millimetres(5), metres(3));
const bar = z.enum(BAR_IDS);

/** Everything that laying out what is in the ground asks for. Lengths are whole nanometres; a layer of 0 is not there. */
export const groundChoicesSchema = z.object({
  fill: layer,
  blinding: layer,
  insulation: layer,
  membrane: z.boolean(),
  screed: layer,
  formwork: z.enum(["above-ground", "full", "none"]),
  /** Dug beyond the concrete on every side. */
  workingSpace: orNone(millimetres(20), metres(3)),
  /** How far the sides of a dig lean out for each one of depth. */
  batter: z.number().min(0).max(3),
  mainTop: z.int().min(0).max(20),
  mainBottom: z.int().min(0).max(20),
  mainBar: bar,
  linkSpacing: orNone(millimetres(40), metres(3)),
  linkBar: bar,
  linkShape: z.enum(["hooks", "shape-51"]),
  linkHook: lengthNm(millimetres(20), millimetres(400)),
  cover: lengthNm(millimetres(10), millimetres(200)),
  /** Of bars that are longer than any sold, in diameters; 0 laps none. */
  lapDiameters: z.number().min(0).max(120),
  toeBars: z.int().min(0).max(20),
  toeBar: bar,
  toeCrossSpacing: orNone(millimetres(40), metres(3)),
  meshLayers: z.int().min(0).max(2),
  meshSheet: z.enum(MESH_SHEET_IDS),
  meshLap: orNone(millimetres(25), metres(1.5)),
  meshBy: z.enum(["laid-out", "by-area"]),
  chairs: z.enum(["none", "single", "continuous"]),
  chairSpacing: lengthNm(millimetres(100), metres(3)),
  footingBars: z.int().min(0).max(20),
  stemUprights: orNone(millimetres(40), metres(3)),
  stemRows: z.int().min(0).max(40),
  stemBar: bar,
  anchorSpacing: orNone(millimetres(100), metres(5)),
  crossSpacing: orNone(millimetres(40), metres(3)),
  crossBar: bar,
  padBarsEachWay: z.int().min(0).max(40),
  padBar: bar,
  uprights: z.int().min(0).max(20),
  /** Skips, loads, packs and hired days add up over the job before they are rounded up, or are rounded up for this part alone. */
  rounding: z.enum(["job", "alone"]),
});
export type GroundChoices = z.infer<typeof groundChoicesSchema>;
export type GroundChoice = keyof GroundChoices;

const WORDS: Readonly<Record<string, string>> = {
  "above-ground": "Where it stands out of the ground",
  full: "All of it",
  none: "None",
  hooks: "Square corners and two hooks",
  "shape-51": "Shape 51 of BS 8666",
  "laid-out": "As laid out",
  "by-area": "By area",
  single: "Single ones",
  continuous: "In rows",
  job: "With the rest of the job",
  alone: "For this part alone",
  ...Object.fromEntries(BAR_IDS.map((id) => [id, BAR_SIZES[id].words])),
  ...Object.fromEntries(MESH_SHEET_IDS.map((id) => [id, MESH_SHEETS[id].words])),
};
const groundWords = (value: string): string => WORDS[value] ?? value;

type Applies = NonNullable<SlotParameter["applies"]>;
const over = (name: GroundChoice): Applies => {
  return (others) => Number(others.get(name) ?? 0) > 0;
};
const hasMain: Applies = (others) =>
  over("mainTop")(others) || over("mainBottom")(others) || over("footingBars")(others);
const isMeshed = over("meshLayers");
const isChaired: Applies = (others) => isMeshed(others) && others.get("chairs") !== "none";
const hasStemBars: Applies = (others) => over("stemUprights")(others) || over("stemRows")(others);
/** Something is held off its faces. */
const isReinforced: Applies = (others) =>
  hasMain(others) ||
  isMeshed(others) ||
  hasStemBars(others) ||
  (["linkSpacing", "toeBars", "crossSpacing", "padBarsEachWay", "uprights"] as const).some((each) =>
    over(each)(others),
  );

const of = parametersBy(groundChoicesSchema.shape, groundWords, {
  mainBar: hasMain,
  linkBar: over("linkSpacing"),
  linkShape: over("linkSpacing"),
  linkHook: over("linkSpacing"),
  toeBar: (others) => over("toeBars")(others) || over("toeCrossSpacing")(others),
  cover: isReinforced,
  lapDiameters: (others) => hasMain(others) || over("toeBars")(others) || over("stemRows")(others),
  meshSheet: isMeshed,
  meshLap: isMeshed,
  meshBy: isMeshed,
  chairs: isMeshed,
  chairSpacing: isChaired,
  stemBar: hasStemBars,
  crossBar: over("crossSpacing"),
  padBar: (others) => over("padBarsEachWay")(others) || over("uprights")(others),
});

/**
 * Every choice of what is in the ground; a kind takes those that come to something on it. Nothing here designs: sizes are assumed
 * until somebody confirms them. Laps of 40 diameters, a lap of two squares of mesh: common practice.
 */
const LISTED: readonly SlotParameter[] = [
  of("fill", "Fill beneath", "length", { imperial: inches(4), metric: millimetres(150) }, true),
  of("blinding", "Blinding", "length", { imperial: 0, metric: millimetres(50) }, true),
  of("membrane", "Membrane beneath", "yes-no", sameInBothSystems(true), true),
  of("insulation", "Insulation beneath", "length", sameInBothSystems(0), true),
  of("screed", "Screed on top", "length", sameInBothSystems(0)),
  of("meshLayers", "Layers of mesh", "number", sameInBothSystems(1), true),
  of("meshSheet", "Mesh comes in", "choice", { imperial: "sheet-5x10", metric: "sheet-4.8x2.4" }),
  of("meshLap", "Mesh laps by", "length", { imperial: inches(8), metric: millimetres(400) }),
  of("meshBy", "Mesh is counted", "choice", sameInBothSystems("laid-out")),
  of("chairs", "Chairs under the upper steel", "choice", sameInBothSystems("single")),
  of("chairSpacing", "Chairs apart", "length", { imperial: feet(3), metric: millimetres(1000) }),
  of("mainTop", "Main bars at the top of a beam", "number", sameInBothSystems(2), true),
  of("mainBottom", "Main bars at the bottom of a beam", "number", sameInBothSystems(2), true),
  of("mainBar", "Main bar", "choice", { imperial: "no4", metric: "12" }, true),
  of("linkSpacing", "Links apart", "length", { imperial: inches(12), metric: millimetres(300) }, true),
  of("linkBar", "Link bar", "choice", { imperial: "no3", metric: "8" }, true),
  of("linkShape", "Links are", "choice", sameInBothSystems("hooks")),
  of("linkHook", "Each hook of a link", "length", { imperial: inches(4), metric: millimetres(100) }),
  of("toeBars", "Bars along the toe", "number", sameInBothSystems(2)),
  of("toeBar", "Toe bar", "choice", { imperial: "no4", metric: "12" }),
  of("toeCrossSpacing", "Bars across the toe apart", "length", { imperial: inches(12), metric: millimetres(300) }),
  of("footingBars", "Bars along the footing", "number", sameInBothSystems(2), true),
  of("crossSpacing", "Bars across the footing apart", "length", sameInBothSystems(0)),
  of("crossBar", "Cross bar", "choice", { imperial: "no4", metric: "12" }),
  of("stemUprights", "Uprights of the stem wall apart", "length", { imperial: feet(4), metric: 0 }),
  of("stemRows", "Rows of bars along the stem wall", "number", { imperial: 2, metric: 0 }),
  of("stemBar", "Bar of the stem wall", "choice", { imperial: "no4", metric: "12" }),
  of("anchorSpacing", "Anchor bolts apart", "length", { imperial: feet(6), metric: 0 }),
  of("padBarsEachWay", "Bars each way in a pad", "number", sameInBothSystems(0)),
  of("uprights", "Upright bars in each", "number", { imperial: 1, metric: 0 }),
  of("padBar", "Bar of pads", "choice", { imperial: "no4", metric: "12" }),
  of("cover", "Cover to the steel", "length", { imperial: inches(3), metric: millimetres(50) }, true),
  of("lapDiameters", "Bars lap by, diameters", "number", sameInBothSystems(40)),
  of("formwork", "Formwork", "choice", sameInBothSystems("above-ground")),
  of("workingSpace", "Working space dug beyond the concrete", "length", sameInBothSystems(0)),
  of("batter", "Sides of the dig lean out, to 1 of depth", "number", sameInBothSystems(0)),
  of("rounding", "Rounded up", "choice", sameInBothSystems("job")),
];

/** The next smaller and the next larger of those that are sold beside each other: numbered bars, or those by the millimetre. */
function besides(ids: readonly string[], family: (id: string) => string): (value: Scalar) => readonly Scalar[] {
  return (value) => {
    const alike = ids.filter((id) => family(id) === family(String(value)));
    const at = alike.indexOf(String(value));
    return [alike[at - 1], alike[at + 1]].filter((each) => each !== undefined);
  };
}

const nextBar = besides(BAR_IDS, (id) => (id.startsWith("no") ? "numbered" : "millimetres"));
const nextMesh = besides(MESH_SHEET_IDS, (id) => (id.includes(".") ? "metres" : "feet"));

export const GROUND_PARAMETERS: readonly SlotParameter[] = LISTED.map((each): SlotParameter => {
  if (each.name === "meshSheet") return { ...each, likely: nextMesh };
  return each.name.endsWith("Bar") ? { ...each, likely: nextBar } : each;
});

export const usualGround = (system: MeasuringSystem): GroundChoices =>
  groundChoicesSchema.parse(Object.fromEntries(GROUND_PARAMETERS.map(({ name, usual }) => [name, usual?.[system]])));

/** The choices in force; the usual ones while nothing has been settled. */
export const groundChoicesOf = choicesInForce<GroundChoices>({ parameters: GROUND_PARAMETERS, usual: usualGround });

/** What something in the ground is made of, with the choices that come to something on it. */
export const groundSlot = <P extends WithChoices<GroundChoices>>(
  parameters: readonly SlotParameter[],
  moreWords: string,
): Slot<P> =>
  choicesSlot<GroundChoices, P>({
    id: "ground",
    question: "What is this made of?",
    words: "Made by this assembly",
    changeWords: "Change the assembly that makes it",
    moreWords,
    parameters,
    read: (values) => groundChoicesSchema.parse(values),
    usual: usualGround,
  });

/** The parameters of these names, in the order they are settled. */
export const groundParameters = (...names: readonly GroundChoice[]): readonly SlotParameter[] =>
  GROUND_PARAMETERS.filter(({ name }) => names.some((each) => each === name));

/** What comes to something on any slab, a raft's among them. */
export const PLATE_CHOICES = [
  "fill",
  "blinding",
  "membrane",
  "insulation",
  "screed",
  "meshLayers",
  "meshSheet",
  "meshLap",
  "meshBy",
  "chairs",
  "chairSpacing",
  "mainTop",
  "mainBottom",
  "mainBar",
  "linkSpacing",
  "linkBar",
  "linkShape",
  "linkHook",
  "cover",
  "lapDiameters",
  "formwork",
  "workingSpace",
  "batter",
  "rounding",
] as const satisfies readonly GroundChoice[];

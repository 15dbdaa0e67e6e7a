import { z } from "zod";
import { choicesInForce } from "../../parts/choicesSlot";
import type { SlotParameter } from "../../parts/slot";
import { parametersBy, sameInBothSystems } from "../../parts/slotParameter";
import { feet, inches, type MeasuringSystem, millimetres } from "../../units";

const lengthNm = (least: number, most: number) => z.int().min(least).max(most);
const sectionId = z.string().min(1).max(40);

/** Everything that laying out a roof's timber asks for. Lengths are whole nanometres. */
export const roofChoicesSchema = z.object({
  framedWith: z.enum(["rafters", "trusses"]),
  rafterSection: sectionId,
  rafterSpacing: lengthNm(inches(8), feet(6)),
  layoutFrom: z.enum(["start", "end"]),
  trussSpacing: lengthNm(inches(8), feet(6)),
  /** From the wall at a hip to the girder that carries its jacks. */
  girderSetback: lengthNm(inches(24), feet(20)),
  girderPlies: z.int().min(1).max(4),
  ridgeSection: sectionId,
  hipSection: sectionId,
  ceilingJoists: z.boolean(),
  joistSection: sectionId,
  /** A collar tie at each so many pairs of rafters; 0 for none. */
  collarEvery: z.int().min(0).max(12),
  collarSection: sectionId,
  /** Level under the rafters of every slope, in so many rows; 0 for none. */
  purlinRows: z.int().min(0).max(4),
  purlinSection: sectionId,
  /** Along purlins; 0 for none. */
  strutSpacing: z.int().min(0).max(feet(12)),
  /** Along a gable's overhang; they are there where it passes a foot. */
  lookoutSpacing: lengthNm(inches(8), feet(6)),
  /** What takes over from timber that is not sold long enough. */
  engineeredSection: sectionId,
  /** Panels as they are laid out on each slope, or by its area with waste. */
  panelsBy: z.enum(["laid-out", "by-area"]),
  /** Gables are framed with the roof, from the wall plate up; not where a wall below is drawn with its gable. */
  gableStuds: z.boolean(),
  /** Of gables, of the walls of dormers, and of what purlins stand on. */
  gableStudSection: sectionId,
});
export type RoofChoices = z.infer<typeof roofChoicesSchema>;
export type RoofChoice = keyof RoofChoices;

const WORDS: Readonly<Record<string, string>> = {
  rafters: "Rafters",
  trusses: "Trusses",
  "laid-out": "As laid out",
  "by-area": "By area",
  start: "The start of the outline",
  end: "Its other end",
};
const trussed = (others: ReadonlyMap<string, unknown>): boolean => others.get("framedWith") === "trusses";
const inTrusses = { trussSpacing: trussed, girderSetback: trussed, girderPlies: trussed };
const of = parametersBy(roofChoicesSchema.shape, (value) => WORDS[value] ?? value, {
  ...inTrusses,
  joistSection: (others) => others.get("ceilingJoists") === true,
  collarSection: (others) => others.get("collarEvery") !== 0,
  purlinSection: (others) => others.get("purlinRows") !== 0,
  strutSpacing: (others) => others.get("purlinRows") !== 0,
});

const timber = (parameter: SlotParameter): SlotParameter => ({ ...parameter, sections: "all" });

/** Collar ties at every other pair or at most 4 ft: IRC R802.3.1 (from memory). Spacings: common practice. */
export const ROOF_PARAMETERS: readonly SlotParameter[] = [
  of("framedWith", "Framed with", "choice", sameInBothSystems("rafters"), true),
  timber(of("rafterSection", "Rafter", "section", { imperial: "2x8", metric: "38x184" }, true)),
  of("rafterSpacing", "Rafter spacing", "length", { imperial: inches(16), metric: millimetres(400) }, true),
  of("layoutFrom", "Laid out from", "choice", sameInBothSystems("start")),
  of("trussSpacing", "Truss spacing", "length", { imperial: inches(24), metric: millimetres(600) }),
  of("girderSetback", "Girder from the wall at a hip", "length", { imperial: feet(7), metric: millimetres(2100) }),
  of("girderPlies", "Plies of a girder", "number", sameInBothSystems(2)),
  timber(of("ridgeSection", "Ridge", "section", { imperial: "2x10", metric: "38x235" })),
  timber(of("hipSection", "Hips and valleys", "section", { imperial: "2x10", metric: "38x235" })),
  of("ceilingJoists", "Ceiling joists tie the rafters", "yes-no", sameInBothSystems(false)),
  timber(of("joistSection", "Ceiling joist", "section", { imperial: "2x6", metric: "38x140" })),
  of("collarEvery", "Pairs of rafters to a collar tie", "number", sameInBothSystems(0)),
  timber(of("collarSection", "Collar tie", "section", { imperial: "2x4", metric: "38x89" })),
  of("purlinRows", "Rows of purlins under a slope", "number", sameInBothSystems(0)),
  timber(of("purlinSection", "Purlin", "section", { imperial: "2x8", metric: "38x184" })),
  of("strutSpacing", "Struts under purlins every", "length", { imperial: feet(4), metric: millimetres(1200) }),
  of("lookoutSpacing", "Lookouts of a gable every", "length", { imperial: inches(24), metric: millimetres(600) }),
  timber(
    of("engineeredSection", "Past the longest timber sold", "section", { imperial: "eng-9.5", metric: "eng-240" }),
  ),
  of("panelsBy", "Panels are counted", "choice", sameInBothSystems("laid-out")),
  of("gableStuds", "Gables are framed with the roof", "yes-no", sameInBothSystems(true), true),
  of("gableStudSection", "Studs of gables and dormers, struts of purlins", "section", {
    imperial: "2x4",
    metric: "38x89",
  }),
];

export const usualRoof = (system: MeasuringSystem): RoofChoices =>
  roofChoicesSchema.parse(Object.fromEntries(ROOF_PARAMETERS.map(({ name, usual }) => [name, usual?.[system]])));

/** The choices in force; the usual ones while nothing has been settled. */
export const choicesOf = choicesInForce<RoofChoices>({ parameters: ROOF_PARAMETERS, usual: usualRoof });

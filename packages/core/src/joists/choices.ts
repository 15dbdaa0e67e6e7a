import { z } from "zod";
import { choicesInForce, choicesSlot, type WithChoices } from "../parts/choicesSlot";
import type { Slot, SlotParameter } from "../parts/slot";
import { parametersBy, sameInBothSystems } from "../parts/slotParameter";
import { feet, inches, type MeasuringSystem, metres, millimetres } from "../units";

const lengthNm = (least: number, most: number) => z.int().min(least).max(most);
const orNone = (least: number, most: number) => z.union([z.literal(0), lengthNm(least, most)]);
const sectionId = z.string().min(1).max(40);

/** How the ends of joists bear along an edge. */
export const BEARINGS = ["plate", "ledger", "hangers", "built-in", "beam", "flush-beam", "open", "free"] as const;
export type Bearing = (typeof BEARINGS)[number];

export const BEARING_WORDS: Readonly<Record<Bearing, string>> = {
  plate: "On a wall plate, closed by a rim",
  ledger: "On a ledger, in hangers",
  hangers: "In hangers on the wall",
  "built-in": "Built into the wall",
  beam: "On a beam, closed by a rim",
  "flush-beam": "Against a beam, in hangers",
  open: "On nothing, closed by a rim",
  free: "On nothing, left open",
};

/** Everything that laying out joists asks for. Lengths are whole nanometres; 0 is none of it. */
export const joistChoicesSchema = z.object({
  joistSection: sectionId,
  joistSpacing: lengthNm(inches(4), feet(6)),
  layoutFrom: z.enum(["start", "end"]),
  /** What becomes of a joist of the layout that leaves less than a hammer's width beside another. */
  closeJoists: z.enum(["move", "merge"]),
  /** The width that a hammer needs. */
  hammerRoom: orNone(millimetres(5), millimetres(300)),
  edgesBear: z.enum(BEARINGS),
  /** Into the wall, where joists are built in. */
  endBearing: lengthNm(millimetres(25), millimetres(400)),
  /** Between a wall that runs with the joists and the first of them. */
  wallGap: orNone(millimetres(5), millimetres(300)),
  overSupport: z.enum(["run-over", "lapped", "in-line"]),
  supportLap: lengthNm(inches(3), feet(4)),
  /** Between the finished opening and its frame, at each side. */
  openingLining: orNone(millimetres(3), millimetres(100)),
  openingHangers: z.enum(["by-rule", "all"]),
  blocking: z.enum(["by-rule", "none", "one", "two", "three"]),
  blockKind: z.enum(["solid", "struts"]),
  blockAtSupports: z.boolean(),
  /** Along walls that run with the joists. */
  strapSpacing: orNone(millimetres(300), metres(4)),
  beamSection: sectionId,
  beamPlies: z.int().min(1).max(6),
  /** Along beams; 0 where nothing stands under them. */
  postSpacing: orNone(feet(1), feet(40)),
  postSection: sectionId,
  /** The longest span of the row that somebody looked up; 0 while nobody has. */
  tableSpan: orNone(feet(1), feet(60)),
  /** Joists are doubled where the plan has a wall on them that runs with them. */
  doubleUnderWalls: z.boolean(),
  /** Of the wall plate that joists pass over where they hang out. */
  plateSection: sectionId,
  /** Along the noggings of an end ladder, which carries an overhang beside the joists. */
  ladderSpacing: lengthNm(millimetres(200), metres(2)),
  /** Rows of noggings right across, so far apart; 0 for none. */
  noggingEvery: orNone(millimetres(300), metres(6)),
  /** Tapered or stepped strips on the joists, which make the fall. */
  firrings: z.boolean(),
  /** What a fall goes down by one over. */
  fallOver: z.number().min(10).max(500),
  /** How thick a firring is where it is thinnest. */
  leastFirring: lengthNm(millimetres(5), millimetres(300)),
  /** From joist to joist, what the panels are made to carry over. */
  panelSpan: lengthNm(millimetres(200), metres(2)),
  panelsBy: z.enum(["laid-out", "by-area"]),
  panelStagger: z.enum(["half", "third", "none"]),
  panelCorner: z.enum(["start-near", "start-far", "end-near", "end-far"]),
  /** Of a panel's width, what its tongue takes. */
  panelTongue: orNone(millimetres(3), millimetres(30)),
});
export type JoistChoices = z.infer<typeof joistChoicesSchema>;
export type JoistChoice = keyof JoistChoices;

const WORDS: Readonly<Record<string, string>> = {
  ...BEARING_WORDS,
  start: "The start",
  end: "The far side",
  move: "Moved off, so that a hammer fits between",
  merge: "Left out: the other takes its place",
  "run-over": "Run over it in one length",
  lapped: "Lapped beside each other",
  "in-line": "Butted in line and spliced",
  "by-rule": "By the rule",
  all: "At every header and tail",
  none: "None",
  one: "One row in each span",
  two: "Two rows in each span",
  three: "Three rows in each span",
  solid: "Solid blocks",
  struts: "Pairs of struts",
  "laid-out": "As laid out",
  "by-area": "By area",
  half: "By half a panel",
  third: "By a third",
  "start-near": "The start, near end",
  "start-far": "The start, far end",
  "end-near": "The far side, near end",
  "end-far": "The far side, far end",
};

type Applies = NonNullable<SlotParameter["applies"]>;
const isNot =
  (name: string, value: string | number): Applies =>
  (others) =>
    others.get(name) !== value;
const laidOut: Applies = (others) => others.get("panelsBy") === "laid-out";

const of = parametersBy(joistChoicesSchema.shape, (value) => WORDS[value] ?? value, {
  blockKind: (others) => isNot("blocking", "none")(others) || others.get("blockAtSupports") === true,
  postSection: isNot("postSpacing", 0),
  fallOver: (others) => others.get("firrings") === true,
  leastFirring: (others) => others.get("firrings") === true,
  supportLap: (others) => others.get("overSupport") === "lapped",
  panelStagger: laidOut,
  panelCorner: laidOut,
});

/** Any timber is offered for it, not studs alone. */
export const timber = (parameter: SlotParameter): SlotParameter => ({ ...parameter, sections: "all" });

/**
 * Every choice of joists; a kind takes those that come to something on it. Nothing here designs: sizes are assumed until somebody
 * confirms them. Lap of 3 in: IRC R502.6.1; straps at most 2 m apart: Approved Document A; values from memory. The rest: common practice.
 */
export const JOIST_PARAMETERS: readonly SlotParameter[] = [
  timber(of("joistSection", "Joist", "section", { imperial: "2x10", metric: "38x235" }, true)),
  of("joistSpacing", "Joist spacing", "length", { imperial: inches(16), metric: millimetres(400) }, true),
  of("layoutFrom", "Laid out from", "choice", sameInBothSystems("start")),
  of("edgesBear", "Ends of joists bear", "choice", { imperial: "plate", metric: "built-in" }, true),
  of("endBearing", "Built into the wall by", "length", { imperial: inches(4), metric: millimetres(100) }),
  of("wallGap", "First joist from a wall beside it", "length", { imperial: 0, metric: millimetres(50) }),
  of("overSupport", "Joists over a wall or a beam below", "choice", sameInBothSystems("run-over")),
  of("supportLap", "Joists lap by", "length", { imperial: inches(6), metric: millimetres(150) }),
  of("closeJoists", "A joist too close to another is", "choice", sameInBothSystems("move")),
  of("hammerRoom", "Least gap between joists", "length", { imperial: inches(1.5), metric: millimetres(40) }),
  of("openingLining", "Lining of openings, at each side", "length", {
    imperial: inches(0.5),
    metric: millimetres(12.5),
  }),
  of("openingHangers", "Hangers at openings", "choice", { imperial: "by-rule", metric: "all" }),
  of("blocking", "Blocking between joists", "choice", sameInBothSystems("by-rule")),
  of("blockKind", "Blocking is", "choice", sameInBothSystems("solid")),
  of("blockAtSupports", "Blocking over walls and beams below", "yes-no", sameInBothSystems(true)),
  of("strapSpacing", "Straps along walls beside joists", "length", { imperial: 0, metric: metres(2) }),
  timber(of("beamSection", "Beam", "section", { imperial: "2x10", metric: "38x235" })),
  of("beamPlies", "Plies of a beam", "number", sameInBothSystems(3)),
  of("postSpacing", "Posts under beams", "length", { imperial: feet(8), metric: millimetres(2400) }),
  timber(of("postSection", "Post", "section", { imperial: "4x4", metric: "38x89" })),
  of("doubleUnderWalls", "Doubled under walls of the plan", "yes-no", sameInBothSystems(true)),
  timber(of("plateSection", "Wall plate", "section", { imperial: "2x4", metric: "38x89" })),
  of("ladderSpacing", "Noggings of an end ladder every", "length", { imperial: inches(16), metric: millimetres(400) }),
  of("noggingEvery", "Noggings across the joists every", "length", { imperial: feet(6), metric: metres(2) }),
  of("firrings", "Firrings make the fall", "yes-no", sameInBothSystems(true), true),
  of("fallOver", "Fall of 1 in", "number", sameInBothSystems(40), true),
  of("leastFirring", "Firrings are at least", "length", { imperial: inches(1), metric: millimetres(25) }),
  of("tableSpan", "Longest span of the row looked up", "length", sameInBothSystems(0)),
  of("panelSpan", "Panels carry over at most", "length", { imperial: inches(24), metric: millimetres(600) }),
  of("panelsBy", "Panels are counted", "choice", sameInBothSystems("laid-out")),
  of("panelStagger", "Rows of panels are shifted", "choice", sameInBothSystems("half")),
  of("panelCorner", "Panels begin at", "choice", sameInBothSystems("start-near")),
  of("panelTongue", "A panel’s tongue takes", "length", { imperial: inches(0.5), metric: 0 }),
];

export const usualJoists = (system: MeasuringSystem): JoistChoices =>
  joistChoicesSchema.parse(Object.fromEntries(JOIST_PARAMETERS.map(({ name, usual }) => [name, usual?.[system]])));

/** The choices in force; the usual ones while nothing has been settled. */
export const joistChoicesOf = choicesInForce<JoistChoices>({ parameters: JOIST_PARAMETERS, usual: usualJoists });

/** What joists are built with, with the choices that come to something on the kind. */
export const joistSlot = <P extends WithChoices<JoistChoices>>(
  parameters: readonly SlotParameter[],
  words: Pick<Slot<never>, "question" | "moreWords">,
): Slot<P> =>
  choicesSlot<JoistChoices, P>({
    id: "joists",
    words: "Built by this assembly",
    changeWords: "Change the assembly that builds it",
    parameters,
    read: (values) => joistChoicesSchema.parse(values),
    usual: usualJoists,
    ...words,
  });

/** The parameters of these names, in the order they are settled. */
export const joistParameters = (...names: readonly JoistChoice[]): readonly SlotParameter[] =>
  JOIST_PARAMETERS.filter(({ name }) => names.some((each) => each === name));

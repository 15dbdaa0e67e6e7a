import { z } from "zod";
import { JOIST_PARAMETERS, joistChoicesSchema, joistParameters, timber } from "../../joists/choices";
import { choicesInForce } from "../../parts/choicesSlot";
import type { SlotParameter } from "../../parts/slot";
import { parametersBy, sameInBothSystems } from "../../parts/slotParameter";
import { feet, inches, type MeasuringSystem, metres, millimetres } from "../../units";

const lengthNm = (least: number, most: number) => z.int().min(least).max(most);
const orNone = (least: number, most: number) => z.union([z.literal(0), lengthNm(least, most)]);
const sectionId = z.string().min(1).max(40);

/** What a deck is built by: its joists, boards, guard and stairs. Lengths are whole nanometres; 0 is none of it. */
export const deckChoicesSchema = joistChoicesSchema.extend({
  boardSection: sectionId,
  boardGap: orNone(millimetres(1), millimetres(50)),
  /** Where the first row of boards lies. */
  boardsFrom: z.enum(["near", "far"]),
  /** What becomes of what is left over: the last board is ripped, or whole boards fill it with wider gaps. */
  lastBoard: z.enum(["ripped", "opened"]),
  /** A last board narrower than this is told. */
  leastRip: orNone(millimetres(5), millimetres(150)),
  /** Gaps that are opened further than this are told. */
  mostGap: lengthNm(millimetres(2), millimetres(50)),
  /** From joist to joist, what the boards are made to carry over. */
  boardSpan: lengthNm(millimetres(200), metres(1)),
  /** Out over the rim, along sides that are not against the house. */
  boardOverhang: orNone(millimetres(5), millimetres(150)),
  frameBoards: z.int().min(0).max(3),
  /** A guard stands where the boards are more than this above the ground. */
  guardPast: lengthNm(millimetres(100), metres(2)),
  guardHigh: lengthNm(millimetres(600), metres(2)),
  guardPostSection: sectionId,
  guardPostSpacing: lengthNm(millimetres(600), metres(3)),
  railSection: sectionId,
  balusterSection: sectionId,
  /** A ball so wide does not pass between balusters. */
  balusterGap: lengthNm(millimetres(25), millimetres(300)),
  stairGap: lengthNm(millimetres(25), millimetres(300)),
  riserMost: lengthNm(millimetres(100), millimetres(300)),
  treadGoing: lengthNm(millimetres(150), millimetres(600)),
  treadNosing: orNone(millimetres(5), millimetres(60)),
  stringerSection: sectionId,
  stringerSpacing: lengthNm(millimetres(200), metres(1.5)),
  risersBoarded: z.boolean(),
  riserSection: sectionId,
  /** StairSteps without a handrail have fewer risers. */
  railFrom: z.int().min(1).max(30),
  handrails: z.enum(["by-rule", "none", "one", "both"]),
  handrailSection: sectionId,
});
export type DeckChoices = z.infer<typeof deckChoicesSchema>;

const WORDS: Readonly<Record<string, string>> = {
  near: "The near side",
  far: "The far side",
  ripped: "Ripped to what is left",
  opened: "A whole one: gaps are opened to fit",
  "by-rule": "By the rule",
  none: "None",
  one: "Along one side",
  both: "Along both sides",
};

const of = parametersBy(deckChoicesSchema.shape, (value) => WORDS[value] ?? value, {
  leastRip: (others) => others.get("lastBoard") === "ripped",
  mostGap: (others) => others.get("lastBoard") === "opened",
  riserSection: (others) => others.get("risersBoarded") === true,
  handrailSection: (others) => others.get("handrails") !== "none",
});
const board = (parameter: SlotParameter): SlotParameter => ({ ...parameter, sections: "boards" });

/** Open sides of a deck lie on a beam where a floor lies on a wall plate; nothing is built into a wall by habit. */
const JOISTS_OF_DECKS: readonly SlotParameter[] = joistParameters(
  "joistSection",
  "joistSpacing",
  "layoutFrom",
  "edgesBear",
  "endBearing",
  "overSupport",
  "supportLap",
  "closeJoists",
  "hammerRoom",
  "openingLining",
  "openingHangers",
  "blocking",
  "blockKind",
  "blockAtSupports",
  "beamSection",
  "beamPlies",
  "postSpacing",
  "postSection",
  "tableSpan",
).map((each) => {
  if (each.name === "edgesBear")
    return { ...each, label: "At open sides joists bear", usual: sameInBothSystems("beam") };
  if (each.name === "joistSection") return { ...each, usual: { imperial: "2x8", metric: "38x184" } };
  if (each.name === "postSection") return { ...each, usual: { imperial: "6x6", metric: "89x89" } };
  return each;
});

/**
 * What comes to something on a deck, in the order it is settled. Guards past 30 in, 36 in high, gaps less than 4 in: IRC R312.1; past 600 mm,
 * 1100 mm high, less than 100 mm: Approved Document K. Risers up to 7 3/4 in, goings from 10 in, handrails from four risers: IRC R311.7;
 * rises to 220 mm, goings from 220 mm: Approved Document K, private stairs. All from memory; sizes of timber are common practice.
 */
export const DECK_PARAMETERS: readonly SlotParameter[] = [
  ...JOISTS_OF_DECKS,
  board(of("boardSection", "Deck board", "section", { imperial: "1x5.5", metric: "28x145" }, true)),
  of("boardGap", "Gap between boards", "length", { imperial: inches(0.25), metric: millimetres(6) }),
  of("boardsFrom", "Boards begin at", "choice", sameInBothSystems("far")),
  of("lastBoard", "The last board is", "choice", sameInBothSystems("ripped")),
  of("leastRip", "Told where the last board is under", "length", { imperial: inches(2), metric: millimetres(50) }),
  of("mostGap", "Told where gaps are over", "length", { imperial: inches(0.375), metric: millimetres(10) }),
  of("boardSpan", "Boards carry over at most", "length", { imperial: inches(16), metric: millimetres(400) }),
  of("boardOverhang", "Boards hang over the rim by", "length", { imperial: inches(1), metric: millimetres(25) }),
  of("frameBoards", "Boards of the picture frame", "number", sameInBothSystems(1)),
  of("guardPast", "Guard where it is higher than", "length", { imperial: inches(30), metric: millimetres(600) }),
  of("guardHigh", "Guard, above the boards", "length", { imperial: inches(36), metric: millimetres(1100) }),
  timber(of("guardPostSection", "Guard post", "section", { imperial: "4x4", metric: "89x89" })),
  of("guardPostSpacing", "Guard posts every, at most", "length", { imperial: feet(6), metric: millimetres(1800) }),
  timber(of("railSection", "Rail", "section", { imperial: "2x4", metric: "38x89" })),
  timber(of("balusterSection", "Baluster", "section", { imperial: "2x2", metric: "38x38" })),
  of("balusterGap", "Between balusters, less than", "length", { imperial: inches(4), metric: millimetres(100) }),
  of("stairGap", "The same beside a stair", "length", { imperial: inches(4.375), metric: millimetres(100) }),
  of("riserMost", "Highest riser", "length", { imperial: inches(7.75), metric: millimetres(190) }),
  of("treadGoing", "Going of a tread", "length", { imperial: inches(10.5), metric: millimetres(250) }),
  of("treadNosing", "Nosing of a tread", "length", { imperial: inches(0.75), metric: millimetres(20) }),
  timber(of("stringerSection", "Stringer", "section", { imperial: "2x12", metric: "38x286" })),
  of("stringerSpacing", "Stringers every, at most", "length", { imperial: inches(16), metric: millimetres(400) }),
  of("risersBoarded", "Risers are boarded", "yes-no", sameInBothSystems(true)),
  board(of("riserSection", "Riser board", "section", { imperial: "0.75x7.25", metric: "20x195" })),
  of("railFrom", "Handrail from so many risers", "number", { imperial: 4, metric: 3 }),
  of("handrails", "Handrails of a stair", "choice", sameInBothSystems("by-rule")),
  timber(of("handrailSection", "Handrail", "section", { imperial: "2x2", metric: "38x38" })),
];

const ALL: readonly SlotParameter[] = [...JOIST_PARAMETERS, ...DECK_PARAMETERS];

/** Of all there are: what decks have otherwise than floors comes last, and stands. */
export const usualDeck = (system: MeasuringSystem): DeckChoices =>
  deckChoicesSchema.parse(Object.fromEntries(ALL.map(({ name, usual }) => [name, usual?.[system]])));

/** The choices in force; the usual ones while nothing has been settled. */
export const deckChoicesOf = choicesInForce<DeckChoices>({ parameters: DECK_PARAMETERS, usual: usualDeck });

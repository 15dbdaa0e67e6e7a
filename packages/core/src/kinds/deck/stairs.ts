import { alongEdge, type JoistEdgeUV, joistShape, type UV } from "../../joists/shape";
import { assumedDimension, unmeasured } from "../../parts/dimension";
import { feet, type MeasuringSystem, millimetres, type Nanometres } from "../../units";
import type { DeckChoices } from "./choices";
import type { Deck, DeckStair } from "./schema";

/** Of a new one, until somebody measures it: at the start of its side, as wide as stairs are: common practice. */
export const newStair = (id: string, edgeId: string, system: MeasuringSystem): DeckStair => ({
  id,
  edgeId,
  along: assumedDimension(0),
  width: assumedDimension(system === "imperial" ? feet(3) : millimetres(900)),
  rise: unmeasured,
});

export const stairName = ({ stairs }: Pick<Deck, "stairs">, id: string): string | undefined => {
  const index = stairs.findIndex((each) => each.id === id);
  if (index < 0) return undefined;
  return stairs.length > 1 ? `Stair ${index + 1}` : "Stair";
};

export const stairRiseNm = ({ rise }: DeckStair, deck: Pick<Deck, "rise">): Nanometres | null =>
  rise.valueNm ?? deck.rise.valueNm;

/** The steps of a stair: the deck is the last of them, so there is one tread less than there are risers. */
export type StairSteps = {
  readonly riseNm: Nanometres;
  readonly risers: number;
  readonly riserNm: Nanometres;
  readonly treads: number;
  readonly goingNm: Nanometres;
  /** Out from the deck to the foot. */
  readonly runNm: Nanometres;
  /** From nosing to nosing. */
  readonly slopeNm: Nanometres;
  readonly pitchDegrees: number;
};

/** A hair of a nanometre more than a whole number of risers is that many. */
const HAIR = 1e-6;

/** As few risers of one height as are no higher than the highest; undefined while the rise is not known. */
export function stairStepsOf(
  stair: DeckStair,
  deck: Pick<Deck, "rise">,
  { riserMost, treadGoing }: Pick<DeckChoices, "riserMost" | "treadGoing">,
): StairSteps | undefined {
  const riseNm = stairRiseNm(stair, deck);
  if (riseNm === null || riseNm <= 0) return undefined;
  const risers = Math.max(1, Math.ceil(riseNm / riserMost - HAIR));
  const riserNm = riseNm / risers;
  return {
    riseNm,
    risers,
    riserNm,
    treads: risers - 1,
    goingNm: treadGoing,
    runNm: (risers - 1) * treadGoing,
    slopeNm: Math.hypot(riserNm, treadGoing),
    pitchDegrees: (Math.atan2(riserNm, treadGoing) * 180) / Math.PI,
  };
}

/** A side of the deck as it was walked: places along it from its start, and out from it. */
export type SideLine = {
  readonly line: JoistEdgeUV;
  readonly lengthNm: Nanometres;
  /** Whether it was walked the way that the outline runs against the clock. */
  readonly asWalked: boolean;
  readonly at: (alongNm: Nanometres, outNm: Nanometres) => UV;
};

/** Undefined for a side there is not, and while the outline does not close. */
export function sideLine(deck: Deck, edgeId: string): SideLine | undefined {
  const shape = joistShape(deck);
  const line = shape?.edges.find(({ edge }) => edge.id === edgeId);
  const placed = shape?.placed.find(({ edge }) => edge.id === edgeId);
  if (!shape || !line || !placed) return undefined;
  const walkedOn = shape.placed[0]?.edge.id === deck.edges[0]?.id;
  const start = shape.toUV(walkedOn ? placed.from : placed.to);
  const asWalked = start.u === line.from.u && start.v === line.from.v;
  const [from, to] = asWalked ? [line.from, line.to] : [line.to, line.from];
  const { lengthNm, at } = alongEdge({ from, to });
  // Walked against the clock the inside lies on the left.
  const out = asWalked ? -1 : 1;
  return { line, lengthNm, asWalked, at: (alongNm, outNm) => at(alongNm, out * outNm) };
}

/** A stair as it lies: undefined while a figure of it is missing, and where its side is gone. */
export type Flight = StairSteps & {
  readonly stair: DeckStair;
  readonly name: string;
  readonly side: SideLine;
  readonly alongNm: Nanometres;
  readonly widthNm: Nanometres;
};

export function flightsOf(deck: Deck, choices: DeckChoices): Flight[] {
  return deck.stairs.flatMap((stair): Flight[] => {
    const steps = stairStepsOf(stair, deck, choices);
    const side = sideLine(deck, stair.edgeId);
    const [alongNm, widthNm] = [stair.along.valueNm, stair.width.valueNm];
    if (!steps || !side || alongNm === null || widthNm === null) return [];
    return [{ ...steps, stair, side, alongNm, widthNm, name: stairName(deck, stair.id) ?? "" }];
  });
}

/** How many sides of a stair have a handrail: none while it has few risers; in the metric system two where it is wide. */
export function handrailsOf(
  { risers, widthNm }: Pick<Flight, "risers" | "widthNm">,
  { handrails, railFrom }: Pick<DeckChoices, "handrails" | "railFrom">,
  system: MeasuringSystem,
): 0 | 1 | 2 {
  if (handrails === "none") return 0;
  if (handrails !== "by-rule") return handrails === "both" ? 2 : 1;
  if (risers < railFrom) return 0;
  // One side at least: IRC R311.7.8. Both where it is 1 m wide or more: Approved Document K (both from memory).
  return system === "metric" && widthNm >= millimetres(1000) ? 2 : 1;
}

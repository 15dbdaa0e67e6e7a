import type { LaidJoists } from "../../../layouts/joists";
import { sectionOf } from "../../../parts/section";
import { edgeLetter } from "../../../parts/walkedOutline";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength, inches, millimetres, type Nanometres } from "../../../units";
import type { DeckChoices } from "../choices";
import type { Deck } from "../schema";
import { guardSides, isAtHouse, isHigh } from "../sides";
import { type Flight, flightsOf, stairName, stairStepsOf } from "../stairs";
import type { LaidBoards } from "./boards";
import { stairLimitsTold } from "./limits";

type Say = (nm: Nanometres) => string;

/** A board has to be as wide as its fixings allow. */
function boardsTold({ rows, frameTooWide, looseJoints }: LaidBoards, choices: DeckChoices, say: Say): Problem[] {
  const found: Problem[] = [];
  if (frameTooWide)
    found.push(
      problem(
        "frame-wide",
        "choices.frameBoards",
        "The picture frame leaves no deck within it: the boards are laid without one.",
      ),
    );
  if (rows.rippedNm > 0 && rows.rippedNm < choices.leastRip) {
    const offer = rows.whole > 1 ? ` Or open the gaps, so that ${rows.whole} whole boards fill it.` : "";
    found.push(
      problem(
        "board-sliver",
        "choices.lastBoard",
        `The last board is ripped to ${say(rows.rippedNm)}: a sliver that no screw holds.${offer}`,
      ),
    );
  }
  if (choices.lastBoard === "opened" && rows.gapNm > choices.mostGap)
    found.push(
      problem(
        "gaps-wide",
        "choices.lastBoard",
        `Whole boards alone open the gaps to ${say(Math.round(rows.gapNm))}, past the ${say(choices.mostGap)} that is asked for: counted as they are. Rip the last one, or take other boards.`,
      ),
    );
  if (choices.joistSpacing > choices.boardSpan)
    found.push(
      problem(
        "spacing-past-boards",
        "choices.joistSpacing",
        `Joists ${say(choices.joistSpacing)} apart are wider than the ${say(choices.boardSpan)} that boards carry over: counted as they are.`,
      ),
    );
  if (looseJoints > 0)
    found.push(
      problem(
        "boards-off-joists",
        "choices.boardSection",
        `${looseJoints} joints of boards lie on no joist: no joist is within the length that they are sold in.`,
      ),
    );
  return found;
}

/** Published least heights of guards and gaps in them: IRC R312.1, Approved Document K (from memory). */
const GUARD = {
  imperial: { past: inches(30), high: inches(36), ball: inches(4), stairBall: inches(4.375), by: "IRC R312.1" },
  metric: {
    past: millimetres(600),
    high: millimetres(1100),
    ball: millimetres(100),
    stairBall: millimetres(100),
    by: "Approved Document K",
  },
} as const;

function guardTold(deck: Deck, choices: DeckChoices, { plan }: LaidJoists, say: Say): Problem[] {
  const limits = GUARD[plan.context.system];
  const on = guardSides(deck, choices);
  const high = deck.rise.valueNm ?? 0;
  const found: Problem[] = [];
  const bare = deck.edges.filter((edge) => !isAtHouse(deck, edge) && !on.includes(edge.id));
  if (high > limits.past && bare.length > 0) {
    const names = bare.map(({ id }) => `Edge ${edgeLetter(deck.edges, id)}`).join(", ");
    const path = deck.guardOn === null ? "choices.guardPast" : "rise";
    found.push(
      problem(
        "guard-missing",
        path,
        `The deck is ${say(high)} above the ground, and there is no guard along ${names}: past ${say(limits.past)} ${limits.by} asks for one.`,
      ),
    );
  }
  const stairsGuarded = flightsOf(deck, choices).some(({ riseNm, treads }) => treads > 0 && riseNm > choices.guardPast);
  if (on.length > 0 && choices.guardHigh < limits.high)
    found.push(
      problem(
        "guard-low",
        "choices.guardHigh",
        `A guard ${say(choices.guardHigh)} high is less than the ${say(limits.high)} of ${limits.by}: counted as it is.`,
      ),
    );
  if (on.length > 0 && choices.balusterGap > limits.ball)
    found.push(gapTold("balusterGap", choices.balusterGap, limits.ball, limits.by, say));
  if (stairsGuarded && choices.stairGap > limits.stairBall)
    found.push(gapTold("stairGap", choices.stairGap, limits.stairBall, limits.by, say));
  const twoRails = 2 * sectionOf(plan.context.sections, choices.railSection).depthNm;
  if ((on.length > 0 || stairsGuarded) && choices.guardHigh <= twoRails + inches(2))
    found.push(
      problem(
        "guard-no-room",
        "choices.guardHigh",
        "Its two rails leave no height for balusters: they are counted with no length.",
      ),
    );
  if (deck.guardOn === null && isHigh(deck, choices) && on.length === 0)
    found.push(problem("guard-nowhere", "rise", "It is high enough for a guard, and has no open side for one."));
  return found;
}

const gapTold = (name: "balusterGap" | "stairGap", is: Nanometres, most: Nanometres, by: string, say: Say): Problem =>
  problem(
    "baluster-gap-wide",
    `choices.${name}`,
    `A ball of ${say(most)} must not pass between balusters (${by}), and gaps are less than ${say(is)}: counted as they are.`,
  );

/** Stairs that lie nowhere, or past the end of their side, or in one another. */
function placesTold(deck: Deck, flights: readonly Flight[], say: Say): Problem[] {
  return deck.stairs.flatMap((stair): Problem[] => {
    const name = stairName(deck, stair.id) ?? "";
    const path = `stairs.${stair.id}.along`;
    if (!deck.edges.some(({ id }) => id === stair.edgeId))
      return [problem("stair-nowhere", path, `The side that ${name} goes down from is gone: it is not counted.`)];
    const flight = flights.find((each) => each.stair.id === stair.id);
    if (!flight) return [];
    const side = `Edge ${edgeLetter(deck.edges, stair.edgeId)}`;
    const found: Problem[] = [];
    if (isAtHouse(deck, { id: stair.edgeId }))
      found.push(
        problem(
          "stair-at-house",
          path,
          `${name} goes down from ${side}, which is against the house: counted as it is said.`,
        ),
      );
    if (flight.alongNm + flight.widthNm > flight.side.lengthNm)
      found.push(
        problem(
          "stair-past-side",
          path,
          `${name} reaches ${say(flight.alongNm + flight.widthNm)} along ${side}, which is ${say(flight.side.lengthNm)} long: it is counted whole.`,
        ),
      );
    const other = flights.find(
      (each) =>
        each.stair.edgeId === stair.edgeId &&
        deck.stairs.indexOf(each.stair) < deck.stairs.indexOf(stair) &&
        each.alongNm < flight.alongNm + flight.widthNm &&
        flight.alongNm < each.alongNm + each.widthNm,
    );
    if (other)
      found.push(problem("stairs-overlap", path, `${name} and ${other.name} lie in one place: both are counted.`));
    return found;
  });
}

/** What a stair waits for. */
function stairsWait(deck: Deck, choices: DeckChoices): Problem[] {
  return deck.stairs.flatMap((stair): Problem[] => {
    if (stairStepsOf(stair, deck, choices)) return [];
    const path = deck.rise.valueNm === null ? "rise" : `stairs.${stair.id}.rise`;
    const message = `Nobody has said how high ${stairName(deck, stair.id) ?? "a stair"} goes: it is not counted.`;
    return [problem("stair-unmeasured", path, message)];
  });
}

/** What is odd about a deck beside its joists; all of it is counted all the same, as the words say. */
export function deckTold(deck: Deck, choices: DeckChoices, laid: LaidJoists, boards: LaidBoards): Problem[] {
  const say: Say = (nm) => formatLength(Math.round(nm), laid.plan.context.system);
  const flights = flightsOf(deck, choices);
  return [
    ...boardsTold(boards, choices, say),
    ...guardTold(deck, choices, laid, say),
    ...stairsWait(deck, choices),
    ...placesTold(deck, flights, say),
    ...flights.flatMap((flight) => stairLimitsTold(flight, choices, laid.plan.context, say)),
  ];
}

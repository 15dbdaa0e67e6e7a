import type { PartContext } from "../../../parts/partKind";
import { sectionOf } from "../../../parts/section";
import { type Problem, problem } from "../../../problems/problem";
import { feet, inches, millimetres, type Nanometres } from "../../../units";
import type { DeckChoices } from "../choices";
import type { Flight } from "../stairs";

type Limits = {
  readonly by: string;
  readonly riserLeast: Nanometres;
  readonly riserMost: Nanometres;
  readonly goingLeast: Nanometres;
  readonly goingMost: Nanometres;
  readonly pitchMost: number;
  readonly widthLeast: Nanometres;
  readonly flightMost: Nanometres;
  /** A ball of this does not pass through open risers. */
  readonly openLeast: Nanometres;
};

/**
 * Risers up to 7 3/4 in, treads from 10 in, 36 in wide, 12 ft 7 in without a landing, open risers under 4 in: IRC R311.7. Rises of 150 to 220,
 * goings of 220 to 300 mm, at most 42 degrees: Approved Document K, private stairs. From memory; 0 and endless where it says nothing.
 */
const LIMITS: Readonly<Record<PartContext["system"], Limits>> = {
  imperial: {
    by: "IRC R311.7",
    riserLeast: 0,
    riserMost: inches(7.75),
    goingLeast: inches(10),
    goingMost: Number.POSITIVE_INFINITY,
    pitchMost: 90,
    widthLeast: inches(36),
    flightMost: feet(12) + inches(7),
    openLeast: inches(4),
  },
  metric: {
    by: "Approved Document K",
    riserLeast: millimetres(150),
    riserMost: millimetres(220),
    goingLeast: millimetres(220),
    goingMost: millimetres(300),
    pitchMost: 42,
    widthLeast: 0,
    flightMost: Number.POSITIVE_INFINITY,
    openLeast: millimetres(100),
  },
};

/** What of a stair the published limits do not allow; all of it is counted as it is. */
export function stairLimitsTold(
  flight: Flight,
  choices: DeckChoices,
  { system, sections }: Pick<PartContext, "system" | "sections">,
  say: (nm: Nanometres) => string,
): Problem[] {
  const limits = LIMITS[system];
  const { name, stair, riserNm, goingNm, pitchDegrees, widthNm, riseNm, treads } = flight;
  const rise = `stairs.${stair.id}.rise`;
  if (treads === 0)
    return [
      problem("one-riser", rise, `${name} is one step of ${say(riserNm)} up to the deck: nothing is built for it.`),
    ];
  const told: Problem[] = [];
  const tell = (code: string, path: string, words: string) =>
    told.push(problem(code, path, `${name}: ${words} (${limits.by}). Counted as it is.`));
  if (riserNm > limits.riserMost)
    tell("riser-high", "choices.riserMost", `risers of ${say(riserNm)} are higher than ${say(limits.riserMost)}`);
  if (riserNm < limits.riserLeast)
    tell("riser-low", rise, `risers of ${say(riserNm)} are lower than ${say(limits.riserLeast)}`);
  if (goingNm < limits.goingLeast)
    tell("going-short", "choices.treadGoing", `goings of ${say(goingNm)} are less than ${say(limits.goingLeast)}`);
  if (goingNm > limits.goingMost)
    tell("going-long", "choices.treadGoing", `goings of ${say(goingNm)} are more than ${say(limits.goingMost)}`);
  if (pitchDegrees > limits.pitchMost)
    tell("stair-steep", "choices.treadGoing", `${pitchDegrees.toFixed(1)}° is steeper than ${limits.pitchMost}°`);
  if (widthNm < limits.widthLeast)
    tell("stair-narrow", `stairs.${stair.id}.width`, `${say(widthNm)} is narrower than ${say(limits.widthLeast)}`);
  if (riseNm > limits.flightMost)
    tell("flight-high", rise, `${say(riseNm)} without a landing is more than ${say(limits.flightMost)}`);
  const open = riserNm - sectionOf(sections, choices.boardSection).thicknessNm;
  if (!choices.risersBoarded && riseNm > choices.guardPast && open >= limits.openLeast)
    tell(
      "risers-open",
      "choices.risersBoarded",
      `open risers leave ${say(open)}, and ${say(limits.openLeast)} must not pass`,
    );
  return told;
}

import { type Problem, problem } from "../../../problems/problem";
import { formOf, ownFormOf } from "../form";
import { edgeName } from "../outline";
import { type Roof, runsIntoRoof } from "../schema";

const NOTHING_LEFT =
  "Nothing is left of this roof: others, or rooms of a storey above, stand over all of it. Check its storey, its plate and where it lies.";

const names = (roof: Roof, ids: readonly string[]): string => ids.map((id) => edgeName(roof, id)).join(" and ");

/** What meeting the others of its house does to a roof and should be known; none of it keeps the rest from being counted. */
export function meetingProblems(roof: Roof): Problem[] {
  const adrift = roof.adrift
    ? [problem("adrift", "beside.along", "The edge it lies along is not there: it stays where it last was.")]
    : [];
  const running = roof.edges.filter(runsIntoRoof).map(({ id }) => id);
  const formed = formOf(roof);
  if (!formed.ok) return formed.why === "cut-away" ? [...adrift, problem("cut-away", "place", NOTHING_LEFT)] : adrift;
  const { intoNothing, standingOut, lostFeatures, partlyThrough } = formed.form.met;
  const ended = roof.meets ? intoNothing : running;
  return [
    ...adrift,
    ...(ended.length === 0 || !ownFormOf(roof).ok
      ? []
      : [
          problem(
            "runs-into-nothing",
            `edges.${ended[0]}.length`,
            `${names(roof, ended)} should run into another roof, and there is none before it that is cut with this one: it ends at its outline.`,
          ),
        ]),
    ...(standingOut.length === 0
      ? []
      : [
          problem(
            "stands-out",
            `edges.${standingOut[0]}.length`,
            `${names(roof, standingOut)} does not end in the roof it runs into, which is lower: it comes out on its other side.`,
          ),
        ]),
    ...partlyThrough.map((name) =>
      problem(
        "partly-through",
        "plate",
        `The ceiling of ${name}, on a storey above, is over some of this roof and under the rest: the roof is not cut by it. Check its height, or the pitch.`,
      ),
    ),
    ...lostFeatures.map((name) =>
      problem("feature-cut", "features", `${name} lies where another roof or a room stands: it is not counted whole.`),
    ),
  ];
}

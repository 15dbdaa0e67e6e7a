import { followsByItself } from "../../joists/figures";
import { bearingOf, isUnborne, runsWithJoists } from "../../joists/shape";
import { edgeLetter } from "../../parts/walkedOutline";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, type Nanometres, plural } from "../../units";
import { acrossAt } from "./across";
import { looseBeamJoints } from "./beams";
import { beamEdges, type Longest } from "./edges";
import type { FloorPlan, LaidOpening } from "./floorPlan";
import type { LaidJoists } from "./layJoists";
import { spotsTold } from "./spots";
import type { Strip } from "./strips";

type Say = (nm: Nanometres) => string;

/** What is odd about joists, each beside its figure; all of it is counted all the same, as the words say. */
export function joistsTold(laid: LaidJoists, longest: Longest): Problem[] {
  const say: Say = (nm) => formatLength(nm, laid.plan.context.system);
  return [
    ...openingsTold(laid, say),
    ...supportsTold(laid, say),
    ...spansTold(laid, say),
    ...stockTold(laid, longest, say),
    ...layoutTold(laid, say),
    ...besideTold(laid),
    ...panelSpanTold(laid, say),
    ...doubledTold(laid),
    ...foundTold(laid),
    ...postsTold(laid, say),
    ...beamJointsTold(laid, longest),
    ...spotsTold(laid.plan),
  ];
}

const overlap = (a: LaidOpening["area"], b: LaidOpening["area"]): boolean =>
  a.u0 < b.u1 && b.u0 < a.u1 && a.v0 < b.v1 && b.v0 < a.v1;

function openingsTold({ plan }: LaidJoists, say: Say): Problem[] {
  const { openings, outside, supports } = plan;
  const nowhere = outside.map(({ id, name }) =>
    problem("opening-outside", `openings.${id}.along`, `${name} lies outside the floor: it is not framed.`),
  );
  const within = openings.flatMap((laid, index): Problem[] => {
    const { area, name, opening, past } = laid;
    const path = `openings.${opening.id}`;
    const message = `${name} goes past the edge of the floor: what lies within it is framed.`;
    const found = past ? [problem("opening-past-edge", `${path}.length`, message)] : [];
    const other = openings.slice(0, index).find((each) => overlap(each.area, area));
    if (other)
      found.push(
        problem("openings-overlap", `${path}.along`, `${name} and ${other.name} overlap: check where they lie.`),
      );
    const over = supports.find(({ u }) => u > area.u0 && u < area.u1);
    if (over)
      found.push(
        problem(
          "opening-over-support",
          `${path}.off`,
          `${name} lies over ${over.name || "what carries the joists"}, ${say(over.u)} along them: what it carries there is cut. Have it checked.`,
        ),
      );
    return found;
  });
  return [...nowhere, ...within];
}

function supportsTold({ plan }: LaidJoists, say: Say): Problem[] {
  const { supports, reach, part } = plan;
  const missing = part.supports
    .filter(({ at }) => at.valueNm === null)
    .map(({ id }) =>
      problem("support-unplaced", `supports.${id}.at`, "Nobody has said where it lies: it carries nothing."),
    );
  return [
    ...missing,
    ...supports
      .filter(({ u }) => u <= reach.u0 || u >= reach.u1 || acrossAt(plan, u).length === 0)
      .map(({ id, name, u }) =>
        problem(
          "support-outside",
          `supports.${id}.at`,
          `${name}, ${say(u)} along the joists, lies outside the floor: it carries nothing.`,
        ),
      ),
  ];
}

type Borne = {
  readonly from: Nanometres;
  readonly to: Nanometres;
  readonly bears: readonly Nanometres[];
  readonly open: readonly ("start" | "end")[];
};

/** Where a whole joist bears, before it is cut. */
function borneBy({ chords }: Strip, plan: FloorPlan): Borne[] {
  return chords.map(({ from, to, start, end }) => {
    const open = (edge: typeof start) => isUnborne(edge.edge, plan.choices);
    const within = plan.supports.map(({ u }) => u).filter((u) => u > from && u < to);
    const bears = [...(open(start) ? [] : [from]), ...within, ...(open(end) ? [] : [to])];
    const ends = [...(open(start) ? (["start"] as const) : []), ...(open(end) ? (["end"] as const) : [])];
    return { from, to, bears, open: ends };
  });
}

function spansTold({ plan, strips }: LaidJoists, say: Say): Problem[] {
  const borne = strips.flatMap((strip) => borneBy(strip, plan));
  const loose = borne.filter(({ bears }) => bears.length < 2);
  const found: Problem[] = [];
  if (loose.length > 0)
    found.push(
      problem(
        "joist-unborne",
        "choices.edgesBear",
        `${loose.length} joists bear in fewer than two places: they are counted, and would not stand. Say what carries them.`,
      ),
    );
  for (const { from, to, bears, open } of borne) {
    const [first, second] = [bears[0], bears[1]];
    const [last, before] = [bears[bears.length - 1], bears[bears.length - 2]];
    if (first === undefined || second === undefined || last === undefined || before === undefined) continue;
    const out = Math.max(
      open.includes("start") ? first - from - (second - first) : 0,
      open.includes("end") ? to - last - (last - before) : 0,
    );
    if (out > 0) {
      const path = plan.part.supports[0] ? `supports.${plan.part.supports[0].id}.at` : "choices.edgesBear";
      found.push(
        problem(
          "cantilever-long",
          path,
          `Joists stand out further than the span behind them, by ${say(out)}: they are counted as drawn. Have it checked.`,
        ),
      );
      break;
    }
  }
  return [...found, ...pastTable(borne, plan, say)];
}

/** Nothing is designed: a row that somebody looked up is held beside the longest span. */
function pastTable(borne: readonly Borne[], { choices }: FloorPlan, say: Say): Problem[] {
  const longest = Math.max(
    0,
    ...borne.flatMap(({ bears }) => bears.slice(1).map((to, index) => to - (bears[index] ?? to))),
  );
  if (choices.tableSpan === 0 || longest <= choices.tableSpan) return [];
  const message = `The longest span is ${say(longest)}, past the ${say(choices.tableSpan)} of the row looked up. Have the joist chosen by who designs it.`;
  return [problem("span-past-row", "choices.tableSpan", message)];
}

function stockTold({ joists, plan }: LaidJoists, longest: Longest, say: Say): Problem[] {
  const long = joists.filter(({ u0, u1 }) => u1 - u0 > longest("joist", plan.joist.id));
  if (long.length === 0) return [];
  const most = Math.max(...long.map(({ u0, u1 }) => u1 - u0));
  const message = `${long.length} joists are up to ${say(most)} long, and ${plan.joist.name} is sold up to ${say(longest("joist", plan.joist.id))}: they need something to bear on between, or another joist.`;
  return [problem("past-stock", "choices.joistSection", message)];
}

function layoutTold({ close, plan }: LaidJoists, say: Say): Problem[] {
  const [first] = close;
  if (!first) return [];
  const many = plural(close.length, "A joist leaves", `${close.length} joists leave`);
  const least = say(Math.min(...close.map(({ gapNm }) => gapNm)));
  const how = first.how === "merge" ? "left out, the other takes its place" : "moved off it";
  const path = followsByItself(plan.part, "firstJoist") ? "choices.closeJoists" : "firstJoist";
  return [problem("joists-close", path, `${many} ${least} to another, less than a hammer needs: ${how}.`)];
}

function panelSpanTold({ plan: { choices } }: LaidJoists, say: Say): Problem[] {
  if (choices.joistSpacing <= choices.panelSpan) return [];
  const message = `Joists ${say(choices.joistSpacing)} apart are wider than the ${say(choices.panelSpan)} that panels carry over: counted as they are. Put them nearer, or take thicker panels.`;
  return [problem("spacing-past-panel", "choices.joistSpacing", message)];
}

const NOT_BESIDE: ReadonlySet<string> = new Set(["ledger", "flush-beam"]);

/** No joist ends on an edge that runs with them: what they would hang on is not there. */
function besideTold({ plan: { shape, part } }: LaidJoists): Problem[] {
  return shape.edges
    .filter((line) => runsWithJoists(line) && NOT_BESIDE.has(line.edge.bears ?? ""))
    .map(({ edge }) => {
      const what = edge.bears === "ledger" ? "ledger" : "beam";
      const message = `Edge ${edgeLetter(part.edges, edge.id)} runs with the joists: none ends on it, and there is no ${what} along it but a joist.`;
      return problem("edge-beside-joists", `edges.${edge.id}.length`, message);
    });
}

function doubledTold({ plan }: LaidJoists): Problem[] {
  const { part, reach } = plan;
  return part.doubled
    .filter(({ at }) => at.valueNm === null || at.valueNm <= reach.v0 || at.valueNm >= reach.v1)
    .map(({ id, at }) =>
      problem(
        "doubled-outside",
        `doubled.${id}.at`,
        at.valueNm === null
          ? "Nobody has said where it lies: nothing is doubled."
          : "It lies outside the floor: nothing is doubled.",
      ),
    );
}

function foundTold({ plan: { part } }: LaidJoists): Problem[] {
  const { short = [], apart = 0, missing = 0 } = part.found ?? {};
  const told = short.map((name) =>
    problem(
      "support-short",
      "supports",
      `${name} carries, and runs only part of the way across the joists: it is not counted on. Put a support in where it carries them.`,
    ),
  );
  if (missing > 0 && part.follows.how === "side")
    told.push(
      problem(
        "side-gone",
        "follows",
        "The side of the house that it lies along is no longer there: it lies as it lay before.",
      ),
    );
  else if (missing > 0) {
    const many = plural(missing, "A room that it lies over is", `${missing} rooms that it lies over are`);
    told.push(
      problem(
        "rooms-gone",
        "follows",
        `${many} no longer there, or open: it lies over the others, or as it lay before.`,
      ),
    );
  }
  if (apart === 0) return told;
  const message =
    "Some of the rooms hang together with the others nowhere: this floor lies over the first of them alone. Make another for the rest.";
  return [...told, problem("rooms-apart", "follows", message)];
}

function postsTold({ plan }: LaidJoists, say: Say): Problem[] {
  const { part, choices, joist, beam } = plan;
  const standing = part.standing.valueNm;
  if (choices.postSpacing === 0 || standing === null) return [];
  const beams = [
    ...plan.supports.map(({ kind }) => kind).filter((kind) => kind !== "wall"),
    ...beamEdges(plan).map(({ edge }) => bearingOf(edge, choices)),
  ];
  const below = beams.includes("beam") ? joist.depthNm + beam.depthNm : beam.depthNm;
  if (beams.length === 0 || standing > below) return [];
  const message = `Beams reach ${say(below)} below the top of the joists, and posts stand on what lies ${say(standing)} below it: there is no post.`;
  return [problem("no-room-for-posts", "standing", message)];
}

function beamJointsTold({ plan }: LaidJoists, longest: Longest): Problem[] {
  const loose = looseBeamJoints(plan, longest);
  if (loose === 0) return [];
  const many = plural(loose, "A joint of beam plies lies", `${loose} joints of beam plies lie`);
  const message = `${many} over no post: ${plan.beam.name} is sold up to ${formatLength(longest("floor-beam", plan.beam.id), plan.context.system)}. Put posts nearer, or take another beam.`;
  return [problem("beam-joint-unborne", "choices.postSpacing", message)];
}

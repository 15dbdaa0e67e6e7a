import { gapPoint } from "../../parts/gapPoint";
import { atMost, LARGEST_SIDE_NM } from "../../parts/limits";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import { outlineOf } from "../../parts/walkedOutline";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, inches, type MeasuringSystem, metres } from "../../units";
import { lineLetter, lineName, stepName, stripDimensions } from "./figures";
import type { StripFigures } from "./schema";
import { bandOf, reachOf, stripOutline } from "./shape";

const MOST_NM = metres(10);
/** Figures that may be nothing: where a stretch begins. */
const MAY_BE_NOTHING = /\.from$/;
const ALONG_A_LINE = /^edges\.|\.(at|from|to)$/;

/** What keeps a footing from being made at all. */
export function stripProblems(strip: StripFigures, { system }: PartContext): Problem[] {
  const figures = stripDimensions(strip).flatMap(({ path, label, of, dimension }): Problem[] => {
    const { valueNm } = dimension;
    const name = of ? `${of}: ${label.toLowerCase()}` : label;
    if (valueNm === null) return [];
    if (valueNm < 0 || (valueNm === 0 && !MAY_BE_NOTHING.test(path)))
      return [problem("not-positive", path, `${name} is more than zero.`)];
    return atMost(path, name, dimension, ALONG_A_LINE.test(path) ? LARGEST_SIDE_NM : MOST_NM, system);
  });
  const outline = strip.closed ? outlineOf(strip.edges) : undefined;
  if (!outline || outline.ok || outline.why !== "crosses") return figures;
  const [a, b] = outline.edges;
  const message = `${lineLetter(strip, a.id)} and ${lineLetter(strip, b.id)} cross.`;
  return [...figures, problem("outline-crosses", `edges.${b.id}.length`, message)];
}

/** Where a closed walk does not end where it began. */
export const stripGap = ({ closed, edges }: StripFigures, system: MeasuringSystem): OpenPoint[] =>
  closed ? gapPoint(edges, system) : [];

/** What is odd about a footing, each beside its figure; all of it is counted all the same, as the words say. */
export function stripTold(strip: StripFigures, system: MeasuringSystem): Problem[] {
  const outline = stripOutline(strip);
  if (!outline) return [];
  const say = (nm: number) => formatLength(nm, system);
  const widthNm = strip.width.valueNm ?? 0;
  const [thickness, below] = [strip.thickness.valueNm ?? 0, strip.below.valueNm ?? 0];
  const found: Problem[] = [];
  if ((strip.stemWidth.valueNm ?? 0) > widthNm) {
    const message = `The wall on it, ${say(strip.stemWidth.valueNm ?? 0)}, is thicker than the footing of ${say(widthNm)} is wide.`;
    found.push(problem("wall-over-footing", "stemWidth", message));
  }
  if (below < thickness) {
    const message = `The footing stands ${say(thickness - below)} out of the ground.`;
    found.push(problem("footing-above-ground", "below", message));
  }
  if (system === "imperial" && below < inches(12)) {
    const message = `Its underside is ${say(below)} below the ground: IRC R403.1.4 has at least 12 in, and below the frost where it freezes.`;
    found.push(problem("shallow-footing", "below", message));
  }
  if (bandOf(outline, reachOf(strip, widthNm)).meets) {
    const message = `Footings ${say(widthNm)} wide meet across the middle: what they share is counted once.`;
    found.push(problem("footings-meet", "width", message));
  }
  return [...found, ...stepsTold(strip, say), ...linesTold(strip)];
}

function stepsTold(strip: StripFigures, say: (nm: number) => string): Problem[] {
  const thickness = strip.thickness.valueNm ?? 0;
  return strip.steps.flatMap(({ id, edgeId, from, to, drop }): Problem[] => {
    const edge = strip.edges.find((each) => each.id === edgeId);
    const name = stepName(strip, id);
    if (!edge)
      return [
        problem("step-nowhere", `steps.${id}.from`, `${name} is on a line that is not there: it counts nothing.`),
      ];
    const endNm = edge.length.valueNm ?? 0;
    if ((from.valueNm ?? 0) >= endNm || (to.valueNm !== null && to.valueNm <= (from.valueNm ?? 0)))
      return [
        problem(
          "step-nowhere",
          `steps.${id}.from`,
          `${name} is no stretch of ${lineLetter(strip, edgeId)}: it counts nothing.`,
        ),
      ];
    if ((drop.valueNm ?? 0) <= thickness) return [];
    const message = `${name} drops ${say(drop.valueNm ?? 0)}, more than the footing is thick (${say(thickness)}): the step is filled with concrete.`;
    return [problem("step-too-high", `steps.${id}.drop`, message)];
  });
}

/** Inner footings of a walk that encloses nothing, or that lie outside what it encloses. */
function linesTold(strip: StripFigures): Problem[] {
  const outline = stripOutline(strip);
  if (!outline || strip.inner.length === 0) return [];
  if (!strip.closed)
    return [
      problem("inner-of-open", "closed", "Lines that do not close enclose nothing: footings within count nothing."),
    ];
  const { quads } = bandOf(outline, reachOf(strip, strip.width.valueNm ?? 0));
  const places = quads.flatMap(({ inner }) => [inner.from, inner.to]);
  const reach = (pick: (point: (typeof places)[number]) => number) => [
    Math.min(...places.map(pick)),
    Math.max(...places.map(pick)),
  ];
  const starts = outline.lines.flatMap(({ from }) => [from]);
  return strip.inner.flatMap(({ id, runs, at }): Problem[] => {
    if (at.valueNm === null) return [];
    const along = runs === "along";
    const [low = 0, high = 0] = along ? reach(({ yNm }) => yNm) : reach(({ xNm }) => xNm);
    const first = along
      ? outline.inwards === 1
        ? Math.min(...starts.map(({ yNm }) => yNm)) + at.valueNm
        : Math.max(...starts.map(({ yNm }) => yNm)) - at.valueNm
      : Math.min(...starts.map(({ xNm }) => xNm)) + at.valueNm;
    if (first > low && first < high) return [];
    const message = `${lineName(strip, id)} lies outside what the others enclose: it counts nothing.`;
    return [problem("line-outside", `inner.${id}.at`, message)];
  });
}

import { atMost, LARGEST_SIDE_NM } from "../parts/limits";
import type { PartContext } from "../parts/partKind";
import type { SlotParameter } from "../parts/slot";
import { edgeLetter, outlineOf } from "../parts/walkedOutline";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import { metres } from "../units";
import { joistDimensions } from "./figures";
import type { Joisted } from "./schema";

/** Higher floors than this stand on no posts. */
const HIGHEST_NM = metres(30);
/** Places that may lie on the edge itself. */
const FROM_NOTHING = /\.(along|off|at|overhang)$|Shift$|^sideFrom$/;

/** What keeps joists from being laid at all: the rest is told beside its figure, and counted as near as it can be. */
export function joistProblems(part: Joisted, { system }: PartContext): Problem[] {
  const figures = joistDimensions(part).flatMap(({ path, label, of, dimension }): Problem[] => {
    const { valueNm } = dimension;
    if (valueNm === null) return [];
    const name = of ? `${of}: ${label.toLowerCase()}` : label;
    if (path === "top") return atMost(path, name, { ...dimension, valueNm: Math.abs(valueNm) }, HIGHEST_NM, system);
    if (FROM_NOTHING.test(path) ? valueNm < 0 : valueNm <= 0) {
      const least = FROM_NOTHING.test(path) ? "at least zero" : "more than zero";
      return [problem("not-positive", path, `${name} is ${least}.`)];
    }
    return atMost(path, name, dimension, path === "standing" ? HIGHEST_NM : LARGEST_SIDE_NM, system);
  });
  const outline = outlineOf(part.edges);
  if (outline.ok || outline.why !== "crosses") return figures;
  const [a, b] = outline.edges.map(({ id }) => `Edge ${edgeLetter(part.edges, id)}`);
  return [...figures, problem("outline-crosses", `edges.${outline.edges[1].id}.length`, `${a} and ${b} cross.`)];
}

/** Timber that is in no list: nothing can be laid of it. */
export const sectionProblems = (
  { settled }: Joisted,
  parameters: readonly SlotParameter[],
  { sections }: PartContext,
): Problem[] => {
  const chosen = new Map(Object.entries<unknown>(settled?.choices ?? {}));
  return parameters.flatMap(({ name, label, kind, path }) => {
    const id = kind === "section" ? chosen.get(name) : undefined;
    if (id === undefined || ownValue(sections, String(id))) return [];
    return [problem("no-section", path, `${label}: there is no timber “${String(id)}” in the list.`)];
  });
};

import { atMost, LARGEST_SIDE_NM } from "../../parts/limits";
import type { PartContext } from "../../parts/partKind";
import { edgeLetter, outlineOf } from "../../parts/walkedOutline";
import { type Problem, problem } from "../../problems/problem";
import { metres } from "../../units";
import { plateDimensions } from "./figures";
import type { Plate } from "./schema";

/** Thicker, wider and deeper ones than these are a slip of the unit. */
const MOST_NM = metres(5);
const HIGHEST_NM = metres(10);

/** What keeps a plate from being made at all: the rest is told beside its figure, and counted as near as it can be. */
export function plateProblems(plate: Plate, { system }: PartContext): Problem[] {
  const figures = plateDimensions(plate).flatMap(({ path, label, of, dimension }): Problem[] => {
    const { valueNm } = dimension;
    const name = of ? `${of}: ${label.toLowerCase()}` : label;
    if (valueNm === null) return [];
    if (path === "top")
      return [...atMost(path, name, { ...dimension, valueNm: Math.abs(valueNm) }, HIGHEST_NM, system)];
    if (valueNm <= 0) return [problem("not-positive", path, `${name} is more than zero.`)];
    return atMost(
      path,
      name,
      dimension,
      path.startsWith("edges.") ? LARGEST_SIDE_NM : path.endsWith(".at") ? LARGEST_SIDE_NM : MOST_NM,
      system,
    );
  });
  const outline = outlineOf(plate.edges);
  if (outline.ok || outline.why !== "crosses") return figures;
  const [a, b] = outline.edges.map(({ id }) => `Edge ${edgeLetter(plate.edges, id)}`);
  return [...figures, problem("outline-crosses", `edges.${outline.edges[1].id}.length`, `${a} and ${b} cross.`)];
}

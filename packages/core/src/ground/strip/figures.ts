import type { Dimension, DimensionSlot } from "../../parts/dimension";
import { changeById, figureSetters } from "../../parts/figures";

import { asked, edgeLetter, followRectangle, likeOpposite } from "../../parts/walkedOutline";
import type { StripFigures } from "./schema";

type Strip = StripFigures & { readonly kind: string };

const OWN = [
  ["width", "Width of the footing"],
  ["thickness", "Thickness of the footing"],
  ["below", "Underside below the ground"],
  ["stemWidth", "Thickness of the wall on it"],
  ["stemHeight", "Height of the stem wall"],
] as const;

const STEP_FIGURES = [
  ["from", "Lower from"],
  ["to", "Lower to"],
  ["drop", "Lower by"],
] as const;

export const lineName = ({ inner }: Pick<StripFigures, "inner">, id: string): string =>
  `Inner footing ${inner.findIndex((line) => line.id === id) + 1}`;
export const stepName = ({ steps }: Pick<StripFigures, "steps">, id: string): string =>
  `Step ${steps.findIndex((step) => step.id === id) + 1}`;
export const lineLetter = ({ edges }: Pick<StripFigures, "edges">, id: string): string =>
  `Line ${edgeLetter(edges, id)}`;

/** What can be left open: it then runs to the end, or lies where it is spaced. */
const isOpen = ({ valueNm, refused }: Dimension): boolean => valueNm === null && refused === undefined;

/** Lengths of a footing: its lines as they are walked, its section, footings within, steps. */
export const stripDimensions = (strip: StripFigures): DimensionSlot[] => [
  ...strip.edges.map(({ id, length }) => {
    const like = strip.closed && likeOpposite(strip.edges).has(id);
    return {
      path: `edges.${id}.length`,
      label: "Length",
      of: lineLetter(strip, id),
      dimension: length,
      ...asked(like),
    };
  }),
  ...OWN.filter(([name]) => name !== "stemHeight" || strip.stem).map(([path, label]) => {
    return { path, label, of: "", dimension: strip[path] };
  }),
  ...strip.inner
    .filter(({ at }) => !isOpen(at))
    .map(({ id, at }) => {
      return { path: `inner.${id}.at`, label: "Its middle from the outside", of: lineName(strip, id), dimension: at };
    }),
  ...strip.steps.flatMap((step) =>
    STEP_FIGURES.filter(([name]) => name !== "to" || !isOpen(step.to)).map(([name, label]) => {
      return { path: `steps.${step.id}.${name}`, label, of: stepName(strip, step.id), dimension: step[name] };
    }),
  ),
];

/** The same footing with one dimension changed. Throws for a path that is none of its figures. */
function withLength<S extends Strip>(strip: S, path: string, to: (now: Dimension) => Dimension): S {
  const own = OWN.find(([name]) => name === path)?.[0];
  if (own) return { ...strip, [own]: to(strip[own]) };
  const [, list, id, figure] = /^(edges|inner|steps)\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const ofStep = STEP_FIGURES.find(([name]) => name === figure)?.[0];
  if (id !== undefined && list === "edges" && figure === "length" && strip.edges.some((each) => each.id === id))
    return { ...strip, edges: changeById(strip.edges, id, (edge) => ({ ...edge, length: to(edge.length) })) };
  if (id !== undefined && list === "inner" && figure === "at" && strip.inner.some((each) => each.id === id))
    return { ...strip, inner: changeById(strip.inner, id, (line) => ({ ...line, at: to(line.at) })) };
  if (id !== undefined && list === "steps" && ofStep && strip.steps.some((each) => each.id === id))
    return { ...strip, steps: changeById(strip.steps, id, (step) => ({ ...step, [ofStep]: to(step[ofStep]) })) };
  throw new Error(`${strip.kind}: "${path}" is not one of its figures`);
}

export function stripSetters<S extends Strip>() {
  const { withDimension, withRefused } = figureSetters<S>(withLength);
  return {
    withRefused,
    withDimension: (strip: S, path: string, valueNm: number, typed: string): S => {
      const changed = withDimension(strip, path, valueNm, typed);
      const follows = path.startsWith("edges.") && changed.closed;
      return follows ? { ...changed, edges: [...followRectangle(changed.edges)] } : changed;
    },
  };
}

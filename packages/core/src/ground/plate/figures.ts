import type { Dimension, DimensionSlot } from "../../parts/dimension";
import { changeById, figureSetters } from "../../parts/figures";

import { asked, edgeLetter, followRectangle, likeOpposite } from "../../parts/walkedOutline";
import { hasBeams, type Plate, type Rib } from "./schema";

const OWN = [
  ["top", "Top of the slab above the ground"],
  ["thickness", "Thickness of the slab"],
  ["beamWidth", "Width of the edge beam"],
  ["beamDepth", "Depth of the edge beam, slab included"],
  ["toeWidth", "Toe beyond the edge"],
  ["toeDepth", "Thickness of the toe"],
] as const;
type PlateFigure = (typeof OWN)[number][0];

const RIB_FIGURES = [
  ["at", "Its middle from the outside"],
  ["width", "Width"],
  ["depth", "Depth, slab included"],
] as const;

/** Figures of the plate itself that come to something on it. */
function shown(plate: Plate, name: PlateFigure): boolean {
  if (name.startsWith("beam")) return hasBeams(plate);
  return !name.startsWith("toe") || plate.edgeForm === "toe";
}

export const ribName = ({ ribs }: Pick<Plate, "ribs">, id: string): string => {
  return `Rib ${ribs.findIndex((rib) => rib.id === id) + 1}`;
};

/** A rib that nobody placed lies where it is spaced; its place is asked once somebody gave it one. */
const ribSlots = (plate: Plate, rib: Rib): DimensionSlot[] =>
  RIB_FIGURES.filter(([name]) => name !== "at" || rib.at.valueNm !== null || rib.at.refused !== undefined).map(
    ([name, label]) => {
      return { path: `ribs.${rib.id}.${name}`, label, of: ribName(plate, rib.id), dimension: rib[name] };
    },
  );

/** Lengths of a plate: its edges as they are walked, then what holds for all of it, then its ribs. */
export const plateDimensions = (plate: Plate): DimensionSlot[] => [
  ...plate.edges.map(({ id, length }) => {
    return {
      path: `edges.${id}.length`,
      label: "Length",
      of: `Edge ${edgeLetter(plate.edges, id)}`,
      dimension: length,
      ...asked(likeOpposite(plate.edges).has(id)),
    };
  }),
  ...OWN.filter(([name]) => shown(plate, name)).map(([path, label]) => {
    return { path, label, of: "", dimension: plate[path] };
  }),
  ...plate.ribs.flatMap((rib) => ribSlots(plate, rib)),
];

/** The same plate with one dimension changed. Throws for a path that is none of its figures. */
function withLength<P extends Plate>(plate: P, path: string, to: (now: Dimension) => Dimension): P {
  const own = OWN.find(([name]) => name === path)?.[0];
  if (own) return { ...plate, [own]: to(plate[own]) };
  const [, ribId, ribFigure] = /^ribs\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const ofRib = RIB_FIGURES.find(([name]) => name === ribFigure)?.[0];
  if (ribId !== undefined && ofRib && plate.ribs.some(({ id }) => id === ribId))
    return { ...plate, ribs: changeById(plate.ribs, ribId, (rib) => ({ ...rib, [ofRib]: to(rib[ofRib]) })) };
  const [, edgeId] = /^edges\.([^.]+)\.length$/.exec(path) ?? [];
  if (edgeId === undefined || !plate.edges.some(({ id }) => id === edgeId))
    throw new Error(`${plate.kind}: "${path}" is not one of its figures`);
  return { ...plate, edges: changeById(plate.edges, edgeId, (edge) => ({ ...edge, length: to(edge.length) })) };
}

/** Setters of the kind; in a rectangle the side opposite to one that was measured follows it. */
export function plateSetters<P extends Plate>() {
  const { withDimension, withRefused } = figureSetters<P>(withLength);
  return {
    withRefused,
    withDimension: (plate: P, path: string, valueNm: number, typed: string): P => {
      const changed = withDimension(plate, path, valueNm, typed);
      return path.startsWith("edges.") ? { ...changed, edges: [...followRectangle(changed.edges)] } : changed;
    },
  };
}

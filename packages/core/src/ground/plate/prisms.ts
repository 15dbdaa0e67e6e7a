import { along, headingFrom, offsetEdges, type Polygon, rightOf } from "../../geometry";
import { type Nanometres, toMetres } from "../../units";
import type { GroundChoices } from "../choices";
import { belowGround, type Prism } from "../prism";
import { dugTo, layersUnder, type PlateLevels, plateLevels, undersideNm } from "./levels";
import { hasToe, type Plate } from "./schema";
import { type PlateShape, plateShape } from "./shape";

/** A part of the plan under one depth of concrete. */
type Region = {
  readonly id: string;
  /** What the concrete below the slab is; nothing under the slab alone. */
  readonly role: "edge-beam" | "rib" | undefined;
  readonly rings: readonly Polygon[];
  readonly undersideNm: Nanometres;
};

function regionsOf(shape: PlateShape, levels: PlateLevels): Region[] {
  const beam = (role: "edge-beam" | "rib") => (each: PlateShape["ribs"][number]) => ({
    id: `${role}-${each.id}`,
    role,
    rings: each.rings,
    undersideNm: undersideNm(levels, each.depthNm),
  });
  return [
    ...shape.edgeBeams.map(beam("edge-beam")),
    ...shape.ribs.map(beam("rib")),
    { id: "field", role: undefined, rings: shape.field, undersideNm: levels.slabNm },
  ];
}

const each = (rings: readonly Polygon[], make: (ring: Polygon, suffix: string) => Prism): Prism[] =>
  rings.map((ring, index) => make(ring, rings.length > 1 ? `-${index + 1}` : ""));

function columnOf(region: Region, levels: PlateLevels, choices: GroundChoices): Prism[] {
  const inField = region.role === undefined;
  const { role } = region;
  const concrete =
    role !== undefined && region.undersideNm < levels.slabNm
      ? [{ role, fromNm: region.undersideNm, toNm: levels.slabNm }]
      : [];
  const layers = [...concrete, ...layersUnder(levels, region.undersideNm, choices, inField)];
  return layers.flatMap((layer) =>
    each(region.rings, (ring, suffix) => {
      const id = layer.role === role ? `${region.id}${suffix}` : `${layer.role}-${region.id}${suffix}`;
      return { ...layer, id, ring };
    }),
  );
}

const dug = (id: string, ring: Polygon, fromNm: Nanometres): Prism[] => {
  const below = belowGround({ id: `dig-${id}`, role: "dig", ring, fromNm, toNm: 0 });
  return below ? [below] : [];
};

/** As deep as is dug along the edges: under the edge beams, or under the slab where there are none. */
function edgeBottomNm(plate: Plate, levels: PlateLevels, choices: GroundChoices): Nanometres {
  const inField = plate.edgeForm === "plain";
  const concreteNm = inField ? levels.slabNm : undersideNm(levels, Math.max(0, plate.beamDepth.valueNm ?? 0));
  return dugTo(levels, concreteNm, choices, inField);
}

/** The foot with what lies under it and what is filled in over it. */
function toePrisms(plate: Plate, shape: PlateShape, levels: PlateLevels, choices: GroundChoices): Prism[] {
  const bottomNm = undersideNm(levels, Math.max(0, plate.beamDepth.valueNm ?? 0));
  const toeTopNm = Math.min(levels.topNm, bottomNm + Math.max(0, plate.toeDepth.valueNm ?? 0));
  const dugNm = dugTo(levels, bottomNm, choices, false);
  return shape.toes.flatMap(({ edgeId, ring }): Prism[] => [
    { id: `toe-${edgeId}`, role: "toe", ring, fromNm: bottomNm, toNm: toeTopNm },
    ...layersUnder(levels, bottomNm, choices, false).map((layer): Prism => {
      return { ...layer, id: `${layer.role}-toe-${edgeId}`, ring };
    }),
    ...backfill(`toe-${edgeId}`, ring, toeTopNm),
    ...dug(`toe-${edgeId}`, ring, dugNm),
  ]);
}

const backfill = (id: string, ring: Polygon, fromNm: Nanometres): Prism[] =>
  fromNm < 0 ? [{ id: `backfill-${id}`, role: "backfill", ring, fromNm, toNm: 0 }] : [];

/**
 * What is dug beyond the concrete and filled in again. Sides that lean out take half their reach more: a strip as wide has the same
 * section.
 */
function aroundPrisms(shape: PlateShape, bottomNm: Nanometres, { workingSpace, batter }: GroundChoices): Prism[] {
  const byNm = workingSpace + Math.round((batter * Math.max(0, -bottomNm)) / 2);
  if (byNm === 0 || bottomNm >= 0) return [];
  const outer = offsetEdges(
    shape.outside.map(({ from, to }) => ({
      from,
      to,
      outward: rightOf(headingFrom(from, to) ?? { x: 1, y: 0 }),
      byNm,
    })),
  );
  return shape.outside.flatMap(({ edgeId, from, to }, index): Prism[] => {
    const line = outer[index];
    if (!line) return [];
    const ring = [from, line.from, line.to, to];
    return [...backfill(`around-${edgeId}`, ring, bottomNm), ...dug(`around-${edgeId}`, ring, bottomNm)];
  });
}

const known = new WeakMap<Plate, WeakMap<GroundChoices, readonly Prism[]>>();

/**
 * Everything that is poured, spread, dug and filled in, as level prisms: concrete, layers and backfill below the ground fill the dig. None where the
 * outline does not close.
 */
export function platePrisms(plate: Plate, choices: GroundChoices): readonly Prism[] {
  const byChoices = known.get(plate) ?? new WeakMap<GroundChoices, readonly Prism[]>();
  known.set(plate, byChoices);
  const made = byChoices.get(choices) ?? prismsOf(plate, choices);
  byChoices.set(choices, made);
  return made;
}

function prismsOf(plate: Plate, choices: GroundChoices): readonly Prism[] {
  const shape = plateShape(plate);
  if (!shape) return [];
  const levels = plateLevels(plate, choices);
  const { topNm, slabNm } = levels;
  const regions = regionsOf(shape, levels);
  const slab: Prism = { id: "slab", role: "slab-concrete", ring: shape.polygon, fromNm: slabNm, toNm: topNm };
  const screed = { id: "screed", role: "screed", ring: shape.polygon, fromNm: topNm, toNm: topNm + choices.screed };
  const sheet = { id: "membrane", role: "ground-membrane", ring: shape.polygon, fromNm: slabNm, toNm: slabNm };
  return [
    slab,
    ...regions.flatMap((region) => columnOf(region, levels, choices)),
    ...(choices.membrane ? [sheet] : []),
    ...(choices.screed > 0 ? [screed] : []),
    ...regions.flatMap((region) => {
      const bottomNm = dugTo(levels, region.undersideNm, choices, region.role === undefined);
      return region.rings.flatMap((ring, index) => dug(`${region.id}-${index + 1}`, ring, bottomNm));
    }),
    ...(hasToe(plate) ? toePrisms(plate, shape, levels, choices) : []),
    ...aroundPrisms(shape, edgeBottomNm(plate, levels, choices), choices),
  ];
}

export type Face = {
  readonly id: string;
  readonly lengthNm: Nanometres;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  readonly areaM2: number;
  readonly ring: Polygon;
};

const BOARD_NM = 25_000_000;

/** Faces of the slab that stand out of the ground and are boarded: all along its edges. */
export function formworkFaces(plate: Plate, choices: GroundChoices): Face[] {
  const shape = plateShape(plate);
  if (!shape || choices.formwork === "none") return [];
  const levels = plateLevels(plate, choices);
  const { topNm } = levels;
  const depthNm = plate.edgeForm === "plain" ? 0 : Math.max(0, plate.beamDepth.valueNm ?? 0);
  const undersideAt = undersideNm(levels, depthNm);
  const fromNm = choices.formwork === "full" ? undersideAt : Math.max(0, undersideAt);
  if (topNm <= fromNm) return [];
  return shape.edges.map(({ edge, from, to }): Face => {
    const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
    const lengthNm = Math.round(Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm));
    const out = (point: typeof from) => along(point, rightOf(heading), BOARD_NM);
    return {
      id: `formwork-${edge.id}`,
      lengthNm,
      fromNm,
      toNm: topNm,
      areaM2: toMetres(lengthNm) * toMetres(topNm - fromNm),
      ring: [from, out(from), out(to), to],
    };
  });
}

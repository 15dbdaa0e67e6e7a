import { type Dimension, type DimensionSlot, measured } from "../../parts/dimension";
import type { Figure, FigureSlot } from "../../parts/figure";
import { changeById, marked } from "../../parts/figures";

import { asked, followRectangle, likeOpposite } from "../../parts/walkedOutline";
import type { Nanometres } from "../../units";
import { COURTYARD_FIGURES, courtyardName } from "./courtyards";
import { FEATURE_FIGURES, type RoofFeature } from "./features/schema";
import { edgeName } from "./outline";
import type { Roof, RoofEdge } from "./schema";

const ROOF_FIGURES = [
  ["overhang", "Overhang of eaves"],
  ["rakeOverhang", "Overhang of gables"],
  ["plate", "Top of the wall plate above the floor"],
  ["breakHeight", "Pitch changes at a height of"],
  ["flatHeight", "Ends in a flat at a height of"],
] as const;
type RoofFigure = (typeof ROOF_FIGURES)[number][0];

/** What is shown only where it is there: a roof of one pitch has no break. */
const OWN: ReadonlySet<string> = new Set(["breakHeight", "flatHeight"]);

const EDGE_FIGURES = ["length", "overhang", "hipFrom", "hipWidth"] as const;
type EdgeFigure = (typeof EDGE_FIGURES)[number];
const EDGE_LABELS: Readonly<Record<EdgeFigure, string>> = {
  length: "Length",
  overhang: "Its own overhang",
  hipFrom: "Slopes from a height of",
  hipWidth: "Slopes from a width of",
};

function edgeSlots(roof: Roof, edge: RoofEdge): DimensionSlot[] {
  const of = edgeName(roof, edge.id);
  return EDGE_FIGURES.filter((name) => {
    if (name === "overhang") return edge.overhang.valueNm !== null || edge.overhang.refused !== undefined;
    if (name === "length") return true;
    const byWidth = edge.hipWidth.valueNm !== null || edge.hipWidth.refused !== undefined;
    return edge.end === "half-hip" && (name === "hipWidth") === byWidth;
  }).map((name) => ({
    path: `edges.${edge.id}.${name}`,
    label: EDGE_LABELS[name],
    of,
    dimension: edge[name],
    ...asked(name === "length" && likeOpposite(roof.edges).has(edge.id)),
  }));
}

/** Where it begins along the edge of another roof. */
const ALONG = "beside.along";

const featureSlots = ({ id, kind, name, ...lengths }: RoofFeature): DimensionSlot[] =>
  FEATURE_FIGURES[kind].lengths.map(([length, label]) => {
    return { path: `features.${id}.${length}`, label, of: name, dimension: lengths[length] };
  });

const courtSlots = (roof: Roof): DimensionSlot[] =>
  roof.courtyards.flatMap((court) =>
    COURTYARD_FIGURES.map(([name, label]) => {
      const of = courtyardName(roof, court.id);
      return { path: `courtyards.${court.id}.${name}`, label, of, dimension: court[name] };
    }),
  );

/** Lengths of a roof: the edges as they are walked, then what holds for all of them. */
export const roofDimensions = (roof: Roof): DimensionSlot[] => [
  ...roof.edges.flatMap((edge) => edgeSlots(roof, edge)),
  ...courtSlots(roof),
  ...roof.features.flatMap(featureSlots),
  ...(roof.beside
    ? [{ path: ALONG, label: "Along that edge, from its left end", of: "", dimension: roof.beside.along }]
    : []),
  ...ROOF_FIGURES.filter(
    ([name]) => !OWN.has(name) || roof[name].valueNm !== null || roof[name].refused !== undefined,
  ).map(([name, label]) => ({ path: name, label, of: "", dimension: roof[name] })),
];

function withLength(roof: Roof, path: string, to: (now: Dimension) => Dimension): Roof {
  if (path === ALONG && roof.beside) return { ...roof, beside: { ...roof.beside, along: to(roof.beside.along) } };
  const own = ROOF_FIGURES.find(([name]) => name === path)?.[0];
  if (own) return { ...roof, [own]: to(roof[own]) };
  const [, courtId, figure] = /^courtyards\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const ofCourt = COURTYARD_FIGURES.find(([name]) => name === figure)?.[0];
  if (courtId !== undefined && ofCourt && roof.courtyards.some(({ id }) => id === courtId))
    return {
      ...roof,
      courtyards: changeById(roof.courtyards, courtId, (court) => ({ ...court, [ofCourt]: to(court[ofCourt]) })),
    };
  const [, featureId, length] = /^features\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const feature = roof.features.find((each) => each.id === featureId);
  const known = feature && FEATURE_FIGURES[feature.kind].lengths.find(([each]) => each === length)?.[0];
  if (feature && known) {
    const changed = (each: RoofFeature): RoofFeature => ({ ...each, [known]: to(each[known]) });
    return { ...roof, features: changeById(roof.features, feature.id, changed) };
  }
  const [, id, name] = /^edges\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const ofEdge = EDGE_FIGURES.find((each) => each === name);
  if (!id || !ofEdge || !roof.edges.some((edge) => edge.id === id))
    throw new Error(`roof: "${path}" is not one of its figures`);
  return { ...roof, edges: changeById(roof.edges, id, (edge) => ({ ...edge, [ofEdge]: to(edge[ofEdge]) })) };
}

const followed = (roof: Roof): Roof => ({ ...roof, edges: [...followRectangle(roof.edges)] });

export const withRoofLength = (roof: Roof, path: string, valueNm: Nanometres, typed: string): Roof =>
  followed(withLength(roof, path, () => measured(valueNm, typed)));

export const withRoofRefused = (roof: Roof, path: string, typed: string | undefined): Roof =>
  withLength(roof, path, (now) => marked(now, typed));

/** The flattest that is a pitched roof, and the steepest: 1 in 100, and 80 degrees. */
export const LEAST_PITCH = 0.01;
export const MOST_PITCH = Math.tan((80 * Math.PI) / 180);

const pitchSlot = (path: string, label: string, of: string, figure: Figure): FigureSlot => ({
  path,
  label,
  of,
  measure: "pitch",
  figure,
  least: LEAST_PITCH,
  most: MOST_PITCH,
});

const isSquare = (degrees: number): boolean => Math.abs(degrees) === 90;

/** Pitches, and turns that are not square. */
export function roofFigures(roof: Roof): readonly FigureSlot[] {
  const upper = roof.breakHeight.valueNm !== null || roof.upperPitch.value !== null;
  return [
    pitchSlot("pitch", "Pitch", "", roof.pitch),
    ...(upper ? [pitchSlot("upperPitch", "Upper pitch", "", roof.upperPitch)] : []),
    ...roof.features
      .filter(({ kind }) => FEATURE_FIGURES[kind].hasPitch)
      .map(({ id, name, pitch }) => pitchSlot(`features.${id}.pitch`, "Its pitch", name, pitch)),
    ...roof.edges.flatMap((edge): FigureSlot[] => {
      const of = edgeName(roof, edge.id);
      const figure = { value: edge.turnDegrees, typed: "", assumed: false };
      return [
        ...(edge.pitch.value === null ? [] : [pitchSlot(`edges.${edge.id}.pitch`, "Its own pitch", of, edge.pitch)]),
        ...(isSquare(edge.turnDegrees)
          ? []
          : [
              {
                path: `edges.${edge.id}.turn`,
                label: "Turn after it, left above 0",
                of,
                measure: "angle",
                figure,
                least: -179,
                most: 179,
              } as const,
            ]),
      ];
    }),
  ];
}

export function withRoofFigure(roof: Roof, path: string, value: number, typed: string): Roof {
  const figure: Figure = { value, typed, assumed: false };
  if (path === "pitch" || path === "upperPitch") return { ...roof, [path]: figure };
  const [, featureId] = /^features\.([^.]+)\.pitch$/.exec(path) ?? [];
  if (featureId !== undefined)
    return { ...roof, features: changeById(roof.features, featureId, (each) => ({ ...each, pitch: figure })) };
  const [, id, name] = /^edges\.([^.]+)\.(pitch|turn)$/.exec(path) ?? [];
  if (!id) throw new Error(`roof: "${path}" is not one of its figures`);
  const edges = changeById(roof.edges, id, (edge) =>
    name === "pitch" ? { ...edge, pitch: figure } : { ...edge, turnDegrees: value },
  );
  return { ...roof, edges };
}
export type { RoofFigure };

import { assumedDimension, unmeasured } from "../../../parts/dimension";
import { type Figure, noFigure } from "../../../parts/figure";
import { feet, inches, type MeasuringSystem, metres, millimetres, type Nanometres, NM_PER_MM } from "../../../units";
import { formOf, type RoofFace } from "../form";
import type { Roof } from "../schema";
import { edgeStarts, featureProblems } from "./problems";
import { FEATURE_FIGURES, type FeatureKind, isDormer, MOST_FEATURES, type RoofFeature } from "./schema";

type Sizes = {
  readonly width: Nanometres;
  readonly back: Nanometres;
  readonly depth: Nanometres;
  readonly wall: Nanometres;
};

/** What is commonly built: a start that is easily changed. */
const USUAL: Readonly<Record<FeatureKind, Readonly<Record<MeasuringSystem, Sizes>>>> = {
  "gable-dormer": {
    imperial: { width: feet(5), back: feet(2), depth: 0, wall: feet(4) },
    metric: { width: metres(1.5), back: millimetres(600), depth: 0, wall: metres(1.2) },
  },
  "shed-dormer": {
    imperial: { width: feet(8), back: feet(2), depth: 0, wall: feet(4) },
    metric: { width: metres(2.4), back: millimetres(600), depth: 0, wall: metres(1.2) },
  },
  "roof-window": {
    imperial: { width: inches(30), back: feet(5), depth: inches(46), wall: 0 },
    metric: { width: millimetres(780), back: metres(1.5), depth: millimetres(1180), wall: 0 },
  },
  chimney: {
    imperial: { width: inches(32), back: feet(6), depth: inches(24), wall: 0 },
    metric: { width: millimetres(800), back: metres(1.8), depth: millimetres(600), wall: 0 },
  },
  notch: {
    imperial: { width: feet(3), back: 0, depth: feet(2), wall: 0 },
    metric: { width: millimetres(900), back: 0, depth: millimetres(600), wall: 0 },
  },
  "carried-eave": {
    imperial: { width: feet(6), back: 0, depth: feet(4), wall: 0 },
    metric: { width: metres(1.8), back: 0, depth: metres(1.2), wall: 0 },
  },
};

/** From end to end of a slope along its edge, in millimetres. */
function spreadOf({ form, wallSides }: RoofFace): readonly [number, number] {
  const { along } = form.line;
  const places = wallSides.map(({ from }) => along[0] * from[0] + along[1] * from[1]);
  return [Math.min(...places), Math.max(...places)];
}

const SCALES = [1, 0.75, 0.5, 0.35, 0.25, 0.15];
/** Where its middle is tried along the slope, the slope's own middle first. */
const SHARES = [0.5, 0.35, 0.65, 0.25, 0.75, 0.15, 0.85];

/** A name that none of the roof's features has: `Chimney 2`. */
function nameOf(roof: Roof, kind: FeatureKind): string {
  const { noun } = FEATURE_FIGURES[kind];
  for (let number = 1; ; number += 1) {
    const name = `${noun} ${number}`;
    if (roof.features.every((each) => each.name !== name)) return name;
  }
}

/**
 * One more feature in the slope over an edge, as near to its middle and as large as is commonly built and as there is room for. Nothing
 * where the roof has no such slope, or as many features as there can be.
 */
export function newFeature(
  roof: Roof,
  kind: FeatureKind,
  edgeId: string,
  id: string,
  system: MeasuringSystem,
): RoofFeature | undefined {
  const formed = formOf(roof);
  const face = formed.ok ? formed.form.faces.find((each) => each.edgeId === edgeId) : undefined;
  const starts = edgeStarts(roof);
  const from = starts.get(edgeId);
  if (!formed.ok || !face || !from || roof.features.length >= MOST_FEATURES) return undefined;
  const start = face.form.line.along[0] * from[0] + face.form.line.along[1] * from[1];
  const usual = USUAL[kind][system];
  const step = system === "imperial" ? inches(1) : millimetres(10);
  const even = (nm: number) => Math.max(step, Math.round(nm / step) * step);
  const pitch: Figure = {
    value: kind === "shed-dormer" ? face.pitch / 3 : face.pitch,
    typed: "",
    assumed: true,
  };
  const [least, most] = spreadOf(face);
  const make = (scale: number, share: number): RoofFeature => {
    const width = even(usual.width * scale);
    const middleNm = (least + share * (most - least) - start) * NM_PER_MM;
    const alongNm = Math.max(0, Math.round((middleNm - width / 2) / step) * step);
    const own = (nm: number) => (nm === 0 ? unmeasured : assumedDimension(even(nm * scale)));
    return {
      id,
      kind,
      name: nameOf(roof, kind),
      edgeId,
      along: assumedDimension(alongNm),
      width: assumedDimension(width),
      back: own(usual.back),
      depth: own(usual.depth),
      wallHeight: own(usual.wall),
      pitch: isDormer({ kind }) ? pitch : noFigure,
    };
  };
  const stands = (feature: RoofFeature) =>
    featureProblems({ ...roof, features: [...roof.features, feature] }).every(({ path }) => !path.includes(`.${id}.`));
  const tried = SCALES.flatMap((scale) => SHARES.map((share) => () => make(scale, share)));
  for (const attempt of tried) {
    const feature = attempt();
    if (stands(feature)) return feature;
  }
  return make(1, 0.5);
}

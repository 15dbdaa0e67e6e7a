import { newBase } from "../../parts/base";
import { assumedDimension, type Dimension, unmeasured } from "../../parts/dimension";
import { type Figure, noFigure } from "../../parts/figure";
import type { PartContext } from "../../parts/partKind";
import { feet, inches, type MeasuringSystem, metres, millimetres, type Nanometres } from "../../units";
import type { EdgeEnd, Roof, RoofEdge } from "./schema";

const LETTERS = "abcdefghijklmnopqrstuvwxyz";

export const newEdge = (id: string, end: EdgeEnd, turnDegrees = 90, length: Dimension = unmeasured): RoofEdge => ({
  id,
  length,
  turnDegrees,
  end,
  pitch: noFigure,
  overhang: unmeasured,
  hipFrom: unmeasured,
  hipWidth: unmeasured,
});

const assumedFigure = (value: number): Figure => ({ value, typed: "", assumed: true });

/** 6 in 12 and 35 degrees: common practice. */
const usualPitch = (system: MeasuringSystem): number => (system === "imperial" ? 0.5 : Math.tan((35 * Math.PI) / 180));

/** A roof over a rectangle, hipped all round until someone says otherwise; its sides wait for a tape. */
export function newRoof(id: string, name: string, { system }: PartContext): Roof {
  const imperial = system === "imperial";
  return {
    kind: "roof",
    schemaVersion: 2,
    ...newBase(id, name),
    edges: ["a", "b", "c", "d"].map((each) => newEdge(each, "eave")),
    courtyards: [],
    features: [],
    pitch: assumedFigure(usualPitch(system)),
    overhang: assumedDimension(imperial ? inches(16) : millimetres(400)),
    rakeOverhang: assumedDimension(imperial ? inches(12) : millimetres(300)),
    overhangMeasured: "level",
    inLine: "step",
    breakHeight: unmeasured,
    upperPitch: noFigure,
    flatHeight: unmeasured,
    plate: assumedDimension(imperial ? feet(8) : metres(2.4)),
    place: { xNm: 0, yNm: 0, turnDegrees: 0 },
    meetsOthers: false,
    assembly: { id: "rafter-roof", version: 1 },
    choices: {},
  };
}

export const ROOF_SHAPES = ["gable", "hip", "half-hip", "lean-to", "gambrel", "l-hip", "l-gable", "t-gable"] as const;
export type RoofShape = (typeof ROOF_SHAPES)[number];

export const SHAPE_WORDS: Readonly<Record<RoofShape, string>> = {
  gable: "Gable",
  hip: "Hip",
  "half-hip": "Half-hip",
  "lean-to": "Lean-to",
  gambrel: "Two pitches, gable ends",
  "l-hip": "L, hipped",
  "l-gable": "L, gable ends",
  "t-gable": "T, gable ends",
};

const RECTANGLES: Partial<Record<RoofShape, readonly EdgeEnd[]>> = {
  gable: ["eave", "gable", "eave", "gable"],
  gambrel: ["eave", "gable", "eave", "gable"],
  hip: ["eave", "eave", "eave", "eave"],
  "half-hip": ["eave", "half-hip", "eave", "half-hip"],
  "lean-to": ["eave", "gable", "wall", "gable"],
};

type Corner = readonly [end: EdgeEnd, turn: 90 | -90, length: (longNm: Nanometres, shortNm: Nanometres) => Nanometres];

/** Round an L: two wings half as wide as the outline is long. */
const lOf = (gable: EdgeEnd): readonly Corner[] => [
  ["eave", 90, (long) => long],
  [gable, 90, (_, short) => short / 2],
  ["eave", -90, (long) => long / 2],
  ["eave", 90, (_, short) => short / 2],
  [gable, 90, (long) => long / 2],
  ["eave", 90, (_, short) => short],
];

const T_SHAPE: readonly Corner[] = [
  ["eave", 90, (long) => long],
  ["gable", 90, (_, short) => short / 2],
  ["eave", -90, (long) => long / 3],
  ["eave", 90, (_, short) => short / 2],
  ["gable", 90, (long) => long / 3],
  ["eave", -90, (_, short) => short / 2],
  ["eave", 90, (long) => long / 3],
  ["gable", 90, (_, short) => short / 2],
];

const CORNERED: Partial<Record<RoofShape, readonly Corner[]>> = {
  "l-hip": lOf("eave"),
  "l-gable": lOf("gable"),
  "t-gable": T_SHAPE,
};

/** Half a whole number of these is one as well. */
const even = (nm: Nanometres, system: MeasuringSystem): Nanometres => {
  const step = system === "imperial" ? inches(1) : millimetres(1);
  return Math.round(nm / step) * step;
};

const isAcross = (index: number): boolean => index % 2 === 1;

/**
 * The same roof in one of the shapes that a press gives. Two sides that were measured stay the length and depth of the whole; what
 * follows from them is assumed until a tape has been along it. Afterwards it is like any other roof.
 */
export function withShape(roof: Roof, shape: RoofShape, system: MeasuringSystem): Roof {
  const [first, second] = roof.edges;
  const longNm = first?.length.valueNm ?? null;
  const shortNm = (roof.edges.length === 4 ? second : roof.edges[roof.edges.length - 1])?.length.valueNm ?? null;
  const imperial = system === "imperial";
  const gambrel = shape === "gambrel";
  const riseNm = even(((shortNm ?? 0) / 4) * (gambrel ? 1.2 : 0.4) || (imperial ? feet(4) : metres(1.2)), system);
  const whole: Roof = {
    ...roof,
    breakHeight: gambrel ? assumedDimension(riseNm) : unmeasured,
    upperPitch: gambrel ? assumedFigure(Math.tan((30 * Math.PI) / 180)) : noFigure,
    pitch: gambrel && roof.pitch.assumed ? assumedFigure(Math.tan((60 * Math.PI) / 180)) : roof.pitch,
    flatHeight: unmeasured,
  };
  const ends = RECTANGLES[shape];
  if (ends) {
    const lengths = [longNm, shortNm, longNm, shortNm];
    const edges = ends.map((end, index): RoofEdge => {
      const before = roof.edges.length === 4 ? roof.edges[index] : undefined;
      const nm = lengths[index] ?? null;
      const length = before?.length ?? (nm === null ? unmeasured : assumedDimension(nm));
      const edge = newEdge(LETTERS[index] ?? "z", end, 90, length);
      return end === "half-hip" ? { ...edge, hipFrom: assumedDimension(riseNm) } : edge;
    });
    return { ...whole, edges };
  }
  const corners = CORNERED[shape] ?? [];
  const [long, short] = [longNm ?? (imperial ? feet(40) : metres(12)), shortNm ?? (imperial ? feet(30) : metres(9))];
  const edges = corners.map(([end, turn, length], index) => {
    const own = index === 0 ? first?.length : undefined;
    const nm = isAcross(index) ? length(long, short) : length(long, short);
    return newEdge(LETTERS[index] ?? "z", end, turn, own?.valueNm ? own : assumedDimension(even(nm, system)));
  });
  return { ...whole, edges };
}

import type { ElevationDrawing } from "../../drawing/drawing";
import { type GroundChoices, groundChoicesOf, groundSlot, usualGround } from "../../ground/choices";
import { GROUND_FUNCTIONS } from "../../ground/functions";
import { GROUND_ROLES } from "../../ground/roles";
import { sectionThrough } from "../../ground/section";
import { newBase } from "../../parts/base";
import { choicePoints } from "../../parts/choicePoints";
import { assumedDimension, type DimensionSlot, unmeasured } from "../../parts/dimension";
import { countSlot } from "../../parts/figure";
import { figureSetters } from "../../parts/figures";
import { atMost } from "../../parts/limits";
import { noDrawing } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { Measure, PartContext, PartKind } from "../../parts/partKind";
import { areaQuantity, lengthQuantity, type QuantityValues, volumeQuantity } from "../../parts/quantity";
import { type Problem, problem } from "../../problems/problem";
import {
  formatArea,
  formatLength,
  formatVolume,
  inches,
  metres,
  millimetres,
  type Nanometres,
  toMetres,
} from "../../units";
import { MOST_PADS, PAD_PARAMETERS, type Pad, padSchema } from "./schema";
import { padAreaM2, padLevels, padPrisms } from "./shape";

const FIGURES = [
  ["length", "Length"],
  ["width", "Width"],
  ["diameter", "Diameter"],
  ["height", "Height of the concrete"],
  ["top", "Top above the ground"],
] as const;

const dimensions = (pad: Pad): DimensionSlot[] =>
  FIGURES.filter(([name]) =>
    name === "diameter" ? pad.form === "tube" : pad.form === "pad" || (name !== "length" && name !== "width"),
  ).map(([path, label]) => ({ path, label, of: "", dimension: pad[path] }));

const MOST_NM = metres(20);

function problems(pad: Pad, { system }: PartContext): Problem[] {
  return dimensions(pad).flatMap(({ path, label, dimension }): Problem[] => {
    const { valueNm } = dimension;
    if (valueNm === null) return [];
    if (path !== "top" && valueNm <= 0) return [problem("not-positive", path, `${label} is more than zero.`)];
    return atMost(path, label, { ...dimension, valueNm: Math.abs(valueNm) }, MOST_NM, system);
  });
}

const isWhole = (pad: Pad): boolean => dimensions(pad).every(({ dimension }) => dimension.valueNm !== null);

function measures(pad: Pad, { system }: PartContext): Measure[] {
  if (!isWhole(pad)) return [];
  const area = formatArea(padAreaM2(pad), system);
  const each = padAreaM2(pad) * toMetres(pad.height.valueNm ?? 0);
  const height = formatLength(pad.height.valueNm ?? 0, system);
  const text = formatVolume(each * pad.count, system);
  const working = {
    sentence: `Concrete of ${pad.name} as it stands, without waste.`,
    formula: "area on plan × height × how many",
    withNumbers: `${area} × ${height} × ${pad.count} = ${text}`,
    steps: [{ label: "In each", value: formatVolume(each, system) }],
  };
  return [{ id: "concrete", name: "Concrete", of: "", text, working, shapeIds: ["pad"] }];
}

function quantities(pad: Pad): QuantityValues {
  if (!isWhole(pad)) return {};
  const height = toMetres(pad.height.valueNm ?? 0);
  const planArea = padAreaM2(pad);
  return { planArea, height, aboveGround: toMetres(pad.top.valueNm ?? 0), concrete: planArea * height };
}

/** One of them cut through, with what is chosen under it. */
export function padSection(pad: Pad, context: PartContext): ElevationDrawing | undefined {
  if (!isWhole(pad)) return undefined;
  const { system } = context;
  const choices: GroundChoices = groundChoicesOf(pad, system);
  const { topNm, bottomNm } = padLevels(pad, choices);
  const wideNm = (pad.form === "tube" ? pad.diameter.valueNm : pad.length.valueNm) ?? 0;
  const beyondNm = Math.max(choices.workingSpace, millimetres(200));
  const say = (nm: Nanometres) => formatLength(nm, system);
  const path = pad.form === "tube" ? "diameter" : "length";
  const up = (id: string, fromNm: Nanometres, toNm: Nanometres, row: number) => {
    return { id, path: id, direction: "up" as const, fromNm, toNm, row, text: say(toNm - fromNm) };
  };
  return sectionThrough(
    padPrisms(pad, choices),
    { at: { xNm: 0, yNm: 0 }, heading: { x: 1, y: 0 } },
    { fromNm: -wideNm / 2 - beyondNm, toNm: wideNm / 2 + beyondNm },
    [
      { id: path, path, direction: "along", fromNm: -wideNm / 2, toNm: wideNm / 2, row: 1, text: say(wideNm) },
      up("height", bottomNm, topNm, 1),
      ...(topNm > 0 ? [up("top", 0, topNm, 0)] : []),
    ],
  );
}

export const padKind: PartKind<Pad> = {
  kind: "pad",
  label: "Pad or tube footing",
  plural: "Pads and tube footings",
  order: 1,
  schema: padSchema,
  migrations: [],
  defaults: (id, name, { system }) => {
    const imperial = system === "imperial";
    const of = (inch: number, mm: number) => assumedDimension(imperial ? inches(inch) : millimetres(mm));
    return {
      kind: "pad",
      schemaVersion: 1,
      ...newBase(id, name),
      form: "pad",
      length: unmeasured,
      width: unmeasured,
      diameter: of(12, 300),
      height: unmeasured,
      top: of(0, 0),
      count: 1,
      assembly: { id: "pad", version: 1 },
      choices: {},
    };
  },
  measures,
  quantityNames: [
    areaQuantity("planArea", "Area of one on plan"),
    lengthQuantity("height", "Height of the concrete", "height"),
    lengthQuantity("aboveGround", "Top above the ground", "top"),
    volumeQuantity("concrete", "Concrete of one"),
  ],
  quantities,
  roles: GROUND_ROLES,
  functions: GROUND_FUNCTIONS,
  slot: groundSlot<Pad>(PAD_PARAMETERS, "steel, blinding, working space, rounding"),
  figures: ({ count }) => [countSlot("count", "How many alike", count, { least: 1, most: MOST_PADS })],
  withFigure: (pad, _path, value) => ({ ...pad, count: value }),
  withCount: (pad, name, count) =>
    name === "count" ? { ...pad, count: Math.min(MOST_PADS, Math.max(1, count)) } : undefined,
  outline: (pad) => ({ xNm: 0, yNm: 0, widthNm: pad.length.valueNm ?? 0, heightNm: pad.height.valueNm ?? 0 }),
  draw: (pad, context) => padSection(pad, context) ?? noDrawing(),
  depthOf: () => ({ nearNm: 0, deepNm: millimetres(1) }),
  problems,
  openPoints: (pad, context) => [
    ...figurePoints(dimensions(pad), context.system),
    ...choicePoints(pad, PAD_PARAMETERS, usualGround(context.system)),
  ],
  dimensions,
  ...figureSetters<Pad>((pad, path, to) => {
    const own = FIGURES.find(([name]) => name === path)?.[0];
    if (!own) throw new Error(`pad: "${path}" is not one of its figures`);
    return { ...pad, [own]: to(pad[own]) };
  }),
};

export * from "./schema";

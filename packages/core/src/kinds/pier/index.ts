import type { Drawing, ElevationDrawing } from "../../drawing/drawing";
import { newBase } from "../../parts/base";
import { withoutUnbuildable } from "../../parts/choicesThatStand";
import { type Dimension, type DimensionSlot, unmeasured } from "../../parts/dimension";
import { countSlot } from "../../parts/figure";
import { figureSetters } from "../../parts/figures";
import { masonryUnitOf } from "../../parts/masonryUnit";
import { figurePoints } from "../../parts/openPointsOf";
import type { Measure, PartContext, PartKind } from "../../parts/partKind";
import { areaQuantity, lengthQuantity, type QuantityValues, volumeQuantity } from "../../parts/quantity";
import { type Problem, problem } from "../../problems/problem";
import { areaOf, formatLength, formatVolume, metres, millimetres, type Nanometres, toMetres } from "../../units";
import { MASONRY_FUNCTIONS } from "../masonry-wall/functions";
import { choicePoints } from "../masonry-wall/openPoints";
import { MASONRY_PARAMETERS } from "../masonry-wall/parameters";
import { unitProblems } from "../masonry-wall/problems";
import { MASONRY_ROLES } from "../masonry-wall/roles";
import { choicesOf, masonrySlot } from "../masonry-wall/slot";
import type { PierUnit } from "./courses";
import { MOST_PIERS, type Pier, pierSchema } from "./schema";

const PIER_CHOICES: readonly string[] = ["unit", "joints", "bedJoint", "perpendJoint", "method"];
const PIER_PARAMETERS = MASONRY_PARAMETERS.filter(({ name }) => PIER_CHOICES.includes(name));

const FIGURES = [
  ["length", "Length"],
  ["width", "Width"],
  ["height", "Height"],
] as const;

const dimensions = (pier: Pier): DimensionSlot[] =>
  FIGURES.map(([path, label]) => ({ path, label, of: "", dimension: pier[path] }));

const LARGEST_SIDE_NM = metres(10);
const HIGHEST_NM = metres(15);
const LEAST_NM = millimetres(50);

/** What a pier is of, with its joints. */
export function pierUnitOf(pier: Pier, { units, system }: PartContext): PierUnit {
  const choices = choicesOf(pier, system);
  const unit = masonryUnitOf(units, choices.unit);
  const own = choices.joints === "own";
  return {
    unit,
    bedNm: own ? choices.bedJoint : unit.bedJointNm,
    perpendNm: own ? choices.perpendJoint : unit.perpendJointNm,
  };
}

function figureProblem(path: string, label: string, { valueNm }: Dimension, system: PartContext["system"]): Problem[] {
  if (valueNm === null) return [];
  const mostNm = path === "height" ? HIGHEST_NM : LARGEST_SIDE_NM;
  const say = (nm: Nanometres) => formatLength(nm, system);
  if (valueNm <= 0) return [problem("not-positive", path, `The ${label.toLowerCase()} of a pier is more than zero.`)];
  if (valueNm < LEAST_NM)
    return [problem("too-small", path, `The ${label.toLowerCase()} of a pier is at least ${say(LEAST_NM)}.`)];
  if (valueNm <= mostNm) return [];
  return [
    problem("too-large", path, `The ${label.toLowerCase()} of a pier is at most ${say(mostNm)}. Check the unit.`),
  ];
}

function problems(pier: Pier, context: PartContext): readonly Problem[] {
  const wrong = dimensions(pier).flatMap(({ path, label, dimension }) =>
    figureProblem(path, label, dimension, context.system),
  );
  const found = [...wrong, ...unitProblems(pier, context)];
  const { length, width, hollow } = pier;
  if (found.length > 0 || !hollow) return found;
  const { unit, perpendNm } = pierUnitOf(pier, context);
  const leastNm = 2 * unit.thicknessNm + perpendNm;
  return (["length", "width"] as const)
    .filter((path) => ({ length, width })[path].valueNm !== null && ({ length, width }[path].valueNm ?? 0) <= leastNm)
    .map((path) => {
      const message = `A hollow pier of ${unit.name} is more than ${formatLength(leastNm, context.system)} each way.`;
      return problem("no-room-for-hollow", path, message);
    });
}

const valuesOf = ({ length, width, height }: Pier) =>
  [length.valueNm, width.valueNm, height.valueNm].every((each) => each !== null)
    ? { lengthNm: length.valueNm ?? 0, widthNm: width.valueNm ?? 0, heightNm: height.valueNm ?? 0 }
    : undefined;

function quantities(pier: Pier): QuantityValues {
  const values = valuesOf(pier);
  if (!values) return {};
  const { lengthNm, widthNm, heightNm } = values;
  return {
    length: toMetres(lengthNm),
    width: toMetres(widthNm),
    height: toMetres(heightNm),
    faces: 2 * areaOf(lengthNm + widthNm, heightNm),
    planArea: areaOf(lengthNm, widthNm),
    volume: areaOf(lengthNm, widthNm) * toMetres(heightNm),
  };
}

function measures(pier: Pier, { system }: PartContext): Measure[] {
  const values = valuesOf(pier);
  if (!values) return [];
  const [length, width, height] = [values.lengthNm, values.widthNm, values.heightNm].map((nm) =>
    formatLength(nm, system),
  );
  const text = formatVolume(quantities(pier).volume ?? 0, system);
  const working = {
    sentence: `Volume of ${pier.name} over all.`,
    formula: "length × width × height",
    withNumbers: `${length} × ${width} × ${height} = ${text}`,
    steps: [],
  };
  return [{ id: "volume", name: "Volume over all", of: "", text, working, shapeIds: ["outline"] }];
}

/** Square on to its length. */
export function drawPier(pier: Pier, { system }: PartContext): ElevationDrawing | Extract<Drawing, { kind: "none" }> {
  const values = valuesOf(pier);
  if (!values) return { kind: "none" };
  const { lengthNm: widthNm, heightNm } = values;
  const say = (nm: Nanometres) => formatLength(nm, system);
  return {
    kind: "elevation",
    widthNm,
    heightNm,
    rectangles: [{ id: "outline", role: "outline", xNm: 0, yNm: 0, widthNm, heightNm }],
    dimensions: [
      { id: "length", path: "length", direction: "along", fromNm: 0, toNm: widthNm, row: 1, text: say(widthNm) },
      { id: "height", path: "height", direction: "up", fromNm: 0, toNm: heightNm, row: 1, text: say(heightNm) },
    ],
  };
}

export const pierKind: PartKind<Pier> = {
  kind: "pier",
  label: "Pier",
  plural: "Piers",
  order: 1,
  schema: pierSchema,
  migrations: [{ to: 2, name: "choices-that-stand", up: withoutUnbuildable(MASONRY_PARAMETERS) }],
  defaults: (id, name) => ({
    kind: "pier",
    schemaVersion: 2,
    ...newBase(id, name),
    length: unmeasured,
    width: unmeasured,
    height: unmeasured,
    hollow: false,
    count: 1,
    assembly: { id: "brick-pier", version: 1 },
    choices: {},
  }),
  measures,
  quantityNames: [
    lengthQuantity("length", "Length", "length"),
    lengthQuantity("width", "Width", "width"),
    lengthQuantity("height", "Height", "height"),
    areaQuantity("faces", "Faces"),
    areaQuantity("planArea", "Plan area"),
    volumeQuantity("volume", "Volume over all"),
  ],
  quantities,
  roles: MASONRY_ROLES,
  functions: MASONRY_FUNCTIONS,
  slot: masonrySlot(PIER_PARAMETERS, "joints, how it is counted"),
  figures: ({ count }) => [countSlot("count", "How many alike", count, { least: 1, most: MOST_PIERS })],
  withFigure: (pier, _path, value) => ({ ...pier, count: value }),
  outline: (pier) => ({ xNm: 0, yNm: 0, widthNm: pier.length.valueNm ?? 0, heightNm: pier.height.valueNm ?? 0 }),
  draw: drawPier,
  depthOf: (pier) => ({ nearNm: -(pier.width.valueNm ?? 0) / 2, deepNm: pier.width.valueNm ?? 0 }),
  problems,
  openPoints: (pier, context) => [
    ...figurePoints(dimensions(pier), context.system),
    ...choicePoints(pier, context, PIER_PARAMETERS),
  ],
  dimensions,
  ...figureSetters<Pier>((pier, path, to) => {
    if (path !== "length" && path !== "width" && path !== "height") {
      throw new Error(`pier: "${path}" is not one of its figures`);
    }
    return { ...pier, [path]: to(pier[path]) };
  }),
};

export * from "./courses";
export * from "./schema";

import { newBase } from "../../parts/base";
import { isAssumed } from "../../parts/choicesSlot";
import { assumedDimension, type DimensionSlot } from "../../parts/dimension";
import { type Figure, type FigureSlot, noFigure } from "../../parts/figure";
import { figureSetters } from "../../parts/figures";
import { atMost } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints, pointsOfFigures } from "../../parts/openPointsOf";
import type { Measure, OpenPoint, PartContext, PartKind } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { feet, formatArea, metres, pitchWays } from "../../units";
import { LEAST_PITCH, MOST_PITCH } from "../roof/figures";
import { ROOF_FUNCTIONS } from "../roof/functions";
import { ROOF_PARAMETERS } from "../roof/parameters";
import { ROOF_QUANTITIES, ROOF_ROWS } from "../roof/quantities";
import { ROOF_ROLES } from "../roof/roles";
import { roofSlot } from "../roof/slot";
import { areasOf, eaveRow, totalsQuantities, totalsRow } from "./quantities";
import { ROOF_TOTALS, type RoofTotals, roofTotalsSchema } from "./schema";

const LONGEST_NM = metres(5000);
const LARGEST_M2 = 20_000;

const dimensions = (part: RoofTotals): DimensionSlot[] =>
  ROOF_TOTALS.map(({ field, label }) => ({ path: field, label, of: "", dimension: part[field] }));

const figures = ({ area, pitch }: RoofTotals): readonly FigureSlot[] => [
  { path: "area", label: "Area in all", of: "", measure: "area", figure: area, least: 0.01, most: LARGEST_M2 },
  { path: "pitch", label: "Pitch", of: "", measure: "pitch", figure: pitch, least: LEAST_PITCH, most: MOST_PITCH },
];

function problems(part: RoofTotals, { system }: PartContext): Problem[] {
  const lengths = dimensions(part).flatMap(({ path, label, dimension }) =>
    (dimension.valueNm ?? 0) < 0
      ? [problem("not-positive", path, `${label}: not less than nothing.`)]
      : atMost(path, label, dimension, LONGEST_NM, system),
  );
  const { area, pitch } = part;
  const wrongArea = area.value !== null && !(area.value > 0 && area.value <= LARGEST_M2);
  const wrongPitch = pitch.value !== null && !(pitch.value >= LEAST_PITCH && pitch.value <= MOST_PITCH);
  return [
    ...lengths,
    ...(wrongArea
      ? [problem("area", "area", `The area is more than nothing, and at most ${formatArea(LARGEST_M2, system)}.`)]
      : []),
    ...(wrongPitch ? [problem("pitch", "pitch", "The pitch is from 1 in 100 to 80°.")] : []),
  ];
}

function measures(part: RoofTotals, { system }: PartContext): Measure[] {
  const areas = areasOf(part);
  if (!areas || part.pitch.value === null) return [];
  const secant = Math.hypot(1, part.pitch.value);
  const [slope, plan] = [formatArea(areas.slopeM2, system), formatArea(areas.planM2, system)];
  const working = {
    sentence: `Area of ${part.name} along its slopes, from its area on plan.`,
    formula: "area on plan × secant of the pitch",
    withNumbers: `${plan} × ${Number(secant.toFixed(4))} = ${slope}`,
    steps: [{ label: "Pitch", value: pitchWays(part.pitch.value, system).join("  ·  ") }],
  };
  return [{ id: "area", name: "Area along the slopes", of: "", text: slope, working, shapeIds: [] }];
}

const RECKONED: OpenPoint = {
  path: "",
  kind: "assumed",
  message: "Reckoned from totals, not laid out: draw the roof before ordering its timber",
};

const asked = (part: RoofTotals): OpenPoint[] =>
  ROOF_PARAMETERS.filter((each) => each.asked && isAssumed(part, each.name)).map(({ path, label }) => ({
    path,
    kind: "assumed",
    message: `${label} is assumed`,
  }));

const isRead = ({ area, pitch }: RoofTotals): boolean => area.value !== null && pitch.value !== null;

/** A roof by its totals. */
export const roofTotalsKind: PartKind<RoofTotals> = {
  kind: "roof-totals",
  label: "Roof by totals",
  plural: "Roofs by totals",
  order: 1,
  schema: roofTotalsSchema,
  migrations: [],
  defaults: (id, name, { system }) => {
    const none = assumedDimension(0);
    return {
      kind: "roof-totals",
      schemaVersion: 1,
      ...newBase(id, name),
      area: noFigure,
      areaTaken: "slope",
      pitch: noFigure,
      eaves: none,
      rakes: none,
      ridges: none,
      hips: none,
      valleys: none,
      wallTops: none,
      wallSides: none,
      plate: assumedDimension(system === "imperial" ? feet(8) : metres(2.4)),
      assembly: { id: "rafter-roof", version: 1 },
      choices: {},
    };
  },
  measures,
  quantityNames: ROOF_QUANTITIES,
  quantities: totalsQuantities,
  rows: ROOF_ROWS,
  rowsOf: (part) => ({ slopes: totalsRow(part), eaveRuns: eaveRow(part) }),
  roles: ROOF_ROLES,
  functions: ROOF_FUNCTIONS,
  assembliesFor: "roof",
  slot: roofSlot(),
  waits: (part) => !isRead(part),
  outline: noOutline,
  draw: noDrawing,
  problems,
  openPoints: (part, { system }) => [
    ...pointsOfFigures(figures(part), system),
    ...figurePoints(dimensions(part), system),
    ...asked(part),
    ...(isRead(part) ? [RECKONED] : []),
  ],
  dimensions,
  figures,
  withFigure: (part, path, value, typed) => {
    if (path !== "area" && path !== "pitch") throw new Error(`roof by totals: "${path}" is not one of its figures`);
    const figure: Figure = { value, typed, assumed: false };
    return { ...part, [path]: figure };
  },
  ...figureSetters<RoofTotals>((part, path, to) => {
    const own = ROOF_TOTALS.find(({ field }) => field === path)?.field;
    if (!own) throw new Error(`roof by totals: "${path}" is not one of its figures`);
    return { ...part, [own]: to(part[own]) };
  }),
};

export {
  guessMatch,
  REPORT_FIELDS,
  REPORT_UNITS,
  type ReportField,
  type ReportFigure,
  type ReportMatch,
  type ReportTable,
  readReport,
  reportMatchSchema,
  reportShape,
  withReport,
} from "./report";
export { type RoofTotals, roofTotalsSchema } from "./schema";

import { z } from "zod";
import { type Problem, problem } from "../../problems/problem";
import { areaOf, feet, formatArea, formatLength, formatRunningLength, millimetres, toMetres } from "../../units";
import { newBase, partBase } from "../base";
import { assumedDimension, dimensionSchema, unmeasured } from "../dimension";
import { figureSetters } from "../figures";
import { noDrawing, noOutline } from "../looseDrawing";
import { figurePoints } from "../openPointsOf";
import type { DimensionSlot, Measure, OpenPoint, PartContext, PartKind } from "../partKind";
import type { QuantityValues } from "../quantity";
import { framingParametersSchema, newFramingParameters } from "../stud-wall/parameters";
import { WALL_QUANTITIES } from "../stud-wall/quantities";
import { assemblyRefSchema, choicesSchema } from "../use";

const countSchema = z.int().min(0).max(10_000);

/**
 * Walls by their totals, where nobody has drawn them: so much wall of one height, so many corners, meeting walls and
 * openings. Counted by the same assemblies as a drawn wall, and marked as reckoned.
 */
export const wallTotalsSchema = z.object({
  kind: z.literal("wall-totals"),
  schemaVersion: z.literal(1),
  ...partBase,
  length: dimensionSchema,
  height: dimensionSchema,
  corners: countSchema,
  meetings: countSchema,
  openings: countSchema,
  /** What one opening measures on the whole: for its header, sill and cripples. */
  openingWidth: dimensionSchema,
  openingHeight: dimensionSchema,
  assembly: assemblyRefSchema,
  parameters: framingParametersSchema,
  choices: choicesSchema,
});
export type WallTotals = z.infer<typeof wallTotalsSchema>;

export const TOTAL_COUNTS = [
  { field: "corners", label: "Corners" },
  { field: "meetings", label: "Meeting walls" },
  { field: "openings", label: "Openings" },
] as const;

const dimensions = (part: WallTotals): DimensionSlot[] => [
  { path: "length", label: "Length of wall in all", of: "", dimension: part.length },
  { path: "height", label: "Height", of: "", dimension: part.height },
  ...(part.openings > 0
    ? [
        { path: "openingWidth", label: "Width of an opening", of: "", dimension: part.openingWidth },
        { path: "openingHeight", label: "Height of an opening", of: "", dimension: part.openingHeight },
      ]
    : []),
];

function problems(part: WallTotals, context: PartContext): Problem[] {
  const wrong = dimensions(part)
    .filter(({ dimension: { valueNm } }) => valueNm !== null && valueNm <= 0)
    .map(({ path, label }) => problem("not-positive", path, `The ${label.toLowerCase()} is more than zero.`));
  if (wrong.length > 0) return wrong;
  if (!context.sections[part.parameters.studSize.value]) {
    const message = `There is no stud size “${part.parameters.studSize.value}” in the library.`;
    return [problem("unknown-section", "parameters.studSize.value", message)];
  }
  const widthNm = (part.openingWidth.valueNm ?? 0) * part.openings;
  const lengthNm = part.length.valueNm;
  if (lengthNm === null || widthNm < lengthNm) return [];
  const message = `${part.openings} openings of ${formatLength(part.openingWidth.valueNm ?? 0, context.system)} are wider than ${formatLength(lengthNm, context.system)} of wall.`;
  return [problem("openings-too-wide", "openingWidth", message)];
}

function measures(part: WallTotals, { system }: PartContext): Measure[] {
  const { length, height } = part;
  if (length.valueNm === null || height.valueNm === null) return [];
  const [lengthText, heightText] = [formatRunningLength(length.valueNm, system), formatLength(height.valueNm, system)];
  const text = formatArea(areaOf(length.valueNm, height.valueNm), system);
  const working = {
    sentence: `Area of ${part.name}, openings not taken off.`,
    formula: "length × height",
    withNumbers: `${lengthText} × ${heightText} = ${text}`,
    steps: [],
  };
  return [{ id: "area", name: "Area", of: "", text, working, shapeIds: [] }];
}

const reckonedPoint: OpenPoint = {
  path: "",
  kind: "assumed",
  message: "Reckoned from totals, not laid out: measure the walls one by one before ordering",
};

export const wallTotalsKind: PartKind<WallTotals> = {
  kind: "wall-totals",
  label: "Walls by totals",
  schema: wallTotalsSchema,
  migrations: [],
  defaults: (id, name, { system }) => ({
    kind: "wall-totals",
    schemaVersion: 1,
    ...newBase(id, name),
    length: unmeasured,
    height: assumedDimension(system === "imperial" ? feet(8) : millimetres(2400)),
    corners: 0,
    meetings: 0,
    openings: 0,
    openingWidth: assumedDimension(system === "imperial" ? feet(3) : millimetres(900)),
    openingHeight: assumedDimension(system === "imperial" ? feet(4) : millimetres(1200)),
    assembly: { id: "outside-wall", version: 1 },
    parameters: newFramingParameters(system),
    choices: {},
  }),
  measures,
  quantityNames: WALL_QUANTITIES,
  quantities: (part): QuantityValues => {
    const { valueNm: lengthNm } = part.length;
    if (lengthNm === null) return {};
    const heightNm = part.height.valueNm ?? 0;
    const [widthNm, highNm] = [part.openingWidth.valueNm ?? 0, part.openingHeight.valueNm ?? 0];
    const area = areaOf(lengthNm, heightNm);
    const openingArea = part.openings * areaOf(widthNm, highNm);
    return {
      length: toMetres(lengthNm),
      height: toMetres(heightNm),
      area,
      openingArea,
      netArea: area - openingArea,
      openings: part.openings,
      doors: 0,
      windows: part.openings,
      openingWidths: part.openings * toMetres(widthNm),
      casingRun: part.openings * toMetres(widthNm + 2 * highNm),
      corners: part.corners,
      meetings: part.meetings,
    };
  },
  outline: noOutline,
  draw: noDrawing,
  problems,
  openPoints: (part, { system }) => [
    ...figurePoints(dimensions(part), system),
    ...(part.length.valueNm === null ? [] : [reckonedPoint]),
  ],
  dimensions,
  ...figureSetters<WallTotals>((part, path, to) => {
    if (path !== "length" && path !== "height" && path !== "openingWidth" && path !== "openingHeight") {
      throw new Error(`walls by totals: "${path}" is not one of its figures`);
    }
    return { ...part, [path]: to(part[path]) };
  }),
};

import { z } from "zod";
import { recordOf } from "../../migrations/fields";
import type { Migration } from "../../migrations/migrate";
import { newBase, partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { assumedDimension, type DimensionSlot, dimensionSchema, unmeasured } from "../../parts/dimension";
import { countSlot } from "../../parts/figure";
import { figureSetters } from "../../parts/figures";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { Measure, OpenPoint, PartContext, PartKind } from "../../parts/partKind";
import type { QuantityValues } from "../../parts/quantity";
import { sectionOf } from "../../parts/section";
import { assemblyRefSchema } from "../../parts/use";
import { type Problem, problem } from "../../problems/problem";
import { ownValue } from "../../records/ownValue";
import {
  areaOf,
  feet,
  formatArea,
  formatLength,
  formatRunningLength,
  metres,
  millimetres,
  toMetres,
} from "../../units";
import { openingRow, WALL_QUANTITIES, WALL_ROWS } from "../../wall/quantities";
import { STUD_WALL_FUNCTIONS } from "../stud-wall/functions";
import { framingAmongChoices, withinLimits } from "../stud-wall/migrations";
import { FRAMING_PARAMETERS, type FramingChoices } from "../stud-wall/parameters";
import { STUD_WALL_ROLES } from "../stud-wall/roles";
import { framingOf, framingSlot } from "../stud-wall/slot";

const MOST_PLACES = 10_000;
const countSchema = z.int().min(0).max(MOST_PLACES);

/**
 * Walls by their totals, where nobody has drawn them: so much wall of one height, so many corners, meeting walls and
 * openings. Counted by the same assemblies as a drawn wall, and marked as reckoned.
 */
export const wallTotalsSchema = z.object({
  kind: z.literal("wall-totals"),
  schemaVersion: z.literal(3),
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
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(FRAMING_PARAMETERS),
});
export type WallTotals = z.infer<typeof wallTotalsSchema> & { readonly settled?: SettledChoices<FramingChoices> };

const PLACES = "How many there are";
export const TOTAL_COUNTS = [
  { field: "corners", label: "Corners" },
  { field: "meetings", label: "Meeting walls" },
  { field: "openings", label: "Openings" },
] as const;

/** Spacings within what can be built. */
const wallTotalsMigrations: readonly Migration[] = [
  {
    to: 2,
    name: "spacings-that-can-be-built",
    up: (part) => ({ ...part, parameters: withinLimits(recordOf(part.parameters)) }),
  },
  { to: 3, name: "framing-among-the-choices", up: framingAmongChoices },
];

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

/** All walls of a large house together come to less. */
const LONGEST_RUN_NM = metres(5000);
const HIGHEST_NM = metres(15);

function lengthProblem(part: WallTotals, { system }: PartContext): Problem | undefined {
  if ((part.length.valueNm ?? 0) <= LONGEST_RUN_NM) return undefined;
  const most = formatLength(LONGEST_RUN_NM, system);
  return problem("too-long", "length", `Walls by totals are at most ${most} in all. Check the unit.`);
}

/** The studs and openings have to have room between the plates. */
function heightProblem(part: WallTotals, context: PartContext) {
  const { height, openings, openingHeight } = part;
  const { studSize, bottomPlates, topPlates } = framingOf(part, context.system);
  const say = (nm: number) => formatLength(nm, context.system);
  const heightNm = height.valueNm ?? 0;
  if (heightNm > HIGHEST_NM) {
    return problem("too-high", "height", `A wall is at most ${say(HIGHEST_NM)} high. Check the unit.`);
  }
  const { thicknessNm } = sectionOf(context.sections, studSize);
  const platesNm = (bottomPlates + topPlates) * thicknessNm;
  if (heightNm <= platesNm) {
    return problem("too-low", "height", `The plates alone are ${say(platesNm)}. The walls must be higher.`);
  }
  const mostNm = heightNm - topPlates * thicknessNm;
  if (openings === 0 || (openingHeight.valueNm ?? 0) <= mostNm) return undefined;
  const message = `An opening ${say(openingHeight.valueNm ?? 0)} high reaches above the underside of the top plates, ${say(mostNm)}.`;
  return problem("head-above-plate", "openingHeight", message);
}

function problems(part: WallTotals, context: PartContext): Problem[] {
  const wrong = dimensions(part)
    .filter(({ dimension: { valueNm } }) => valueNm !== null && valueNm <= 0)
    .map(({ path, label }) => problem("not-positive", path, `The ${label.toLowerCase()} is more than zero.`));
  if (wrong.length > 0) return wrong;
  const { studSize } = framingOf(part, context.system);
  if (!ownValue(context.sections, studSize)) {
    return [problem("unknown-section", "choices.studSize", `There is no stud size “${studSize}” in the library.`)];
  }
  const misfit = heightProblem(part, context) ?? lengthProblem(part, context);
  if (misfit) return [misfit];
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
  plural: "Walls by totals",
  schema: wallTotalsSchema,
  migrations: wallTotalsMigrations,
  defaults: (id, name, { system }) => ({
    kind: "wall-totals",
    schemaVersion: 3,
    ...newBase(id, name),
    length: unmeasured,
    height: assumedDimension(system === "imperial" ? feet(8) : millimetres(2400)),
    corners: 0,
    meetings: 0,
    openings: 0,
    openingWidth: assumedDimension(system === "imperial" ? feet(3) : millimetres(900)),
    openingHeight: assumedDimension(system === "imperial" ? feet(4) : millimetres(1200)),
    assembly: { id: "outside-wall", version: 1 },
    choices: {},
  }),
  measures,
  order: 1,
  assembliesFor: "stud-wall",
  rows: WALL_ROWS,
  // Alike, as nobody measured each.
  rowsOf: ({ openings, openingWidth: width, openingHeight: height }) => ({
    openings: Array.from({ length: openings }, () => openingRow({ width, height, sill: unmeasured, kind: "window" })),
  }),
  roles: STUD_WALL_ROLES,
  functions: STUD_WALL_FUNCTIONS,
  slot: framingSlot(),
  waits: (part) => part.length.valueNm === null,
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
      topRun: toMetres(lengthNm),
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
  figures: (part) =>
    TOTAL_COUNTS.map(({ field, label }) => countSlot(field, label, part[field], { most: MOST_PLACES, of: PLACES })),
  withFigure: (part, path, value) => ({ ...part, [path]: value }),
  ...figureSetters<WallTotals>((part, path, to) => {
    if (path !== "length" && path !== "height" && path !== "openingWidth" && path !== "openingHeight") {
      throw new Error(`walls by totals: "${path}" is not one of its figures`);
    }
    return { ...part, [path]: to(part[path]) };
  }),
};

import { z } from "zod";
import type { Migration } from "../../migrations/migrate";
import { newBase, partBase } from "../../parts/base";
import { type DimensionSlot, dimensionSchema, unmeasured } from "../../parts/dimension";
import type { FigureSlot } from "../../parts/figure";
import { figureSetters } from "../../parts/figures";
import { atMost, LARGEST_SIDE_NM, THICKEST_NM } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { Measure, OpenPoint, PartContext, PartKind } from "../../parts/partKind";
import {
  areaQuantity,
  choiceQuantity,
  lengthQuantity,
  type Quantity,
  type QuantityValues,
  type RowsOfPart,
  type RowValues,
  yesNoQuantity,
} from "../../parts/quantity";
import { netAreaOfSurface, type StoreyTotals, type Surface } from "../../parts/surface";
import { type Problem, problem } from "../../problems/problem";
import { formatArea, formatRunningLength, metres, type Nanometres, NM_PER_M, toMetres } from "../../units";

/** What holds for a whole storey: its order, where north is, and outside readings that its plan is checked against. */
export const storeySchema = z.object({
  kind: z.literal("storey"),
  schemaVersion: z.literal(2),
  ...partBase,
  /** From the lowest up. */
  level: z.int().min(-20).max(200),
  /** North, in degrees from up the page with the clock; null while nobody has marked it. */
  northDegrees: z.number().min(0).lt(360).nullable(),
  /** From this floor to the one above; worked out from the rooms where nobody measured it. */
  floorToFloor: dimensionSchema,
  /** What lies between the ceiling below and this floor. */
  floorBuildUp: dimensionSchema,
  /** Read with a tape over the outside of the house: across the page, and up it. Not needed for anything but the check. */
  outsideAcross: dimensionSchema,
  outsideUp: dimensionSchema,
});
export type StoreyPart = z.infer<typeof storeySchema> & {
  /** What its rooms come to on the plan. Never stored. */
  readonly found?: StoreyTotals;
};

const QUANTITIES: readonly Quantity[] = [
  areaQuantity("floorArea", "Floors of its rooms"),
  areaQuantity("ceilingArea", "Ceilings of its rooms"),
  areaQuantity("wallArea", "Walls of its rooms"),
  areaQuantity("netWallArea", "Walls of its rooms less openings"),
  areaQuantity("footprintArea", "Footprint, over its outside walls"),
  lengthQuantity("outsidePerimeter", "Round its outside"),
  lengthQuantity("floorToFloor", "Floor to floor above"),
];

const ROWS: readonly RowsOfPart[] = [
  {
    name: "surfaces",
    label: "Surfaces of its rooms",
    columns: [
      choiceQuantity("side", "Wall, floor, ceiling or reveal"),
      areaQuantity("area", "Area"),
      areaQuantity("netArea", "Area less openings"),
      lengthQuantity("width", "Width"),
      lengthQuantity("height", "Height"),
      yesNoQuantity("outside", "Has the outside behind it"),
    ],
  },
];

const rowOf = (surface: Surface): RowValues => ({
  side: surface.side,
  area: surface.areaM2,
  netArea: netAreaOfSurface(surface),
  width: toMetres(surface.widthNm),
  height: toMetres(surface.heightNm),
  outside: surface.outside,
});

function quantities({ found }: StoreyPart): QuantityValues {
  if (!found) return {};
  const { surfaces: _, ...values } = found;
  return values;
}

function measures(part: StoreyPart, { system }: PartContext): Measure[] {
  const { found, name } = part;
  if (!found) return [];
  const values = quantities(part);
  return QUANTITIES.map(({ name: id, label, kind }) => {
    const value = values[id] ?? 0;
    const text =
      kind === "area" ? formatArea(value, system) : formatRunningLength(Math.round(value * NM_PER_M), system);
    const working = {
      sentence: `${label}, ${name}.`,
      formula: "from its rooms on the plan",
      withNumbers: text,
      steps: [],
    };
    return { id, name: label, of: "", text, working, shapeIds: [] };
  });
}

const LEVELS = "Floor levels";

const NO_ROOMS: OpenPoint = {
  path: "rooms",
  kind: "missing",
  message: "No room on it closes yet: what is counted for the whole storey waits",
};

const dimensions = ({ outsideAcross, outsideUp, floorToFloor, floorBuildUp }: StoreyPart): DimensionSlot[] => [
  { path: "floorToFloor", label: "Floor to floor above", of: LEVELS, dimension: floorToFloor },
  { path: "floorBuildUp", label: "Thickness of its floor", of: LEVELS, dimension: floorBuildUp },
  { path: "outsideAcross", label: "Outside, across the page", of: "Tape reading", dimension: outsideAcross },
  { path: "outsideUp", label: "Outside, up the page", of: "Tape reading", dimension: outsideUp },
];

const NORTH: Pick<FigureSlot, "path" | "label" | "of" | "measure" | "least" | "most"> = {
  path: "northDegrees",
  label: "With the clock from up the page",
  of: "North",
  measure: "angle",
  least: 0,
  most: 359.99,
};

const LIMITS: Readonly<Record<string, { readonly name: string; readonly mostNm: Nanometres }>> = {
  floorToFloor: { name: "A storey", mostNm: metres(30) },
  floorBuildUp: { name: "A floor", mostNm: THICKEST_NM },
};

const problems = (part: StoreyPart, { system }: PartContext): Problem[] =>
  dimensions(part).flatMap(({ path, dimension }) => {
    const { name, mostNm } = LIMITS[path] ?? { name: "An outside reading", mostNm: LARGEST_SIDE_NM };
    return dimension.valueNm !== null && dimension.valueNm <= 0
      ? [problem("not-positive", path, `${name} is more than zero.`)]
      : atMost(path, name, dimension, mostNm, system);
  });

const migrations: readonly Migration[] = [
  {
    // How high the floors are; nobody had measured any.
    to: 2,
    name: "floor-levels",
    up: (storey) => ({ ...storey, floorToFloor: unmeasured, floorBuildUp: unmeasured }),
  },
];

export const storeyKind: PartKind<StoreyPart> = {
  kind: "storey",
  label: "Storey",
  plural: "Storeys",
  schema: storeySchema,
  migrations,
  defaults: (id, name) => ({
    kind: "storey",
    schemaVersion: 2,
    ...newBase(id, name),
    storey: name,
    level: 0,
    northDegrees: null,
    floorToFloor: unmeasured,
    floorBuildUp: unmeasured,
    outsideAcross: unmeasured,
    outsideUp: unmeasured,
  }),
  measures,
  order: 9,
  roles: [],
  functions: [],
  quantityNames: QUANTITIES,
  quantities,
  rows: ROWS,
  rowsOf: ({ found }) => ({ surfaces: (found?.surfaces ?? []).map(rowOf) }),
  outline: noOutline,
  draw: noDrawing,
  problems,
  // A check nobody has made is nothing missing.
  openPoints: (part, { system }) => [
    ...figurePoints(dimensions(part), system).filter((point) => point.kind === "refused"),
    ...(part.uses.length > 0 && !part.found ? [NO_ROOMS] : []),
  ],
  dimensions,
  figures: ({ northDegrees: value }) => [{ ...NORTH, figure: { value, typed: "", assumed: false } }],
  withFigure: (part, _path, northDegrees) => ({ ...part, northDegrees }),
  ...figureSetters<StoreyPart>((part, path, to) => {
    if (path !== "outsideAcross" && path !== "outsideUp" && path !== "floorToFloor" && path !== "floorBuildUp") {
      throw new Error(`storey: "${path}" is not one of its figures`);
    }
    return { ...part, [path]: to(part[path]) };
  }),
};

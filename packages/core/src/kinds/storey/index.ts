import { z } from "zod";
import type { Migration } from "../../migrations/migrate";
import { newBase, partBase } from "../../parts/base";
import { dimensionSchema, unmeasured } from "../../parts/dimension";
import { figureSetters } from "../../parts/figures";
import { atMost, LARGEST_SIDE_NM, THICKEST_NM } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { DimensionSlot, PartContext, PartKind } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { metres, type Nanometres } from "../../units";

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
export type StoreyPart = z.infer<typeof storeySchema>;

const LEVELS = "Floor levels";

const dimensions = ({ outsideAcross, outsideUp, floorToFloor, floorBuildUp }: StoreyPart): DimensionSlot[] => [
  { path: "floorToFloor", label: "Floor to floor above", of: LEVELS, dimension: floorToFloor },
  { path: "floorBuildUp", label: "Thickness of its floor", of: LEVELS, dimension: floorBuildUp },
  { path: "outsideAcross", label: "Outside, across the page", of: "Tape reading", dimension: outsideAcross },
  { path: "outsideUp", label: "Outside, up the page", of: "Tape reading", dimension: outsideUp },
];

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
  takesNoAssemblies: true,
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
  measures: () => [],
  order: 9,
  roles: [],
  functions: [],
  quantityNames: [],
  quantities: () => ({}),
  outline: noOutline,
  draw: noDrawing,
  problems,
  // A check nobody has made is nothing missing.
  openPoints: (part, { system }) => figurePoints(dimensions(part), system).filter((point) => point.kind === "refused"),
  dimensions,
  ...figureSetters<StoreyPart>((part, path, to) => {
    if (path !== "outsideAcross" && path !== "outsideUp" && path !== "floorToFloor" && path !== "floorBuildUp") {
      throw new Error(`storey: "${path}" is not one of its figures`);
    }
    return { ...part, [path]: to(part[path]) };
  }),
};

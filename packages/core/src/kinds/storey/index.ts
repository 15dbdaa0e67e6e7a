import { z } from "zod";
import { newBase, partBase } from "../../parts/base";
import { dimensionSchema, unmeasured } from "../../parts/dimension";
import { figureSetters } from "../../parts/figures";
import { atMost, LARGEST_SIDE_NM } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { DimensionSlot, PartContext, PartKind } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";

/** What holds for a whole storey: its order, where north is, and outside readings that its plan is checked against. */
export const storeySchema = z.object({
  kind: z.literal("storey"),
  schemaVersion: z.literal(1),
  ...partBase,
  /** From the lowest up. */
  level: z.int().min(-20).max(200),
  /** North, in degrees from up the page with the clock; null while nobody has marked it. */
  northDegrees: z.number().min(0).lt(360).nullable(),
  /** Read with a tape over the outside of the house: across the page, and up it. Not needed for anything but the check. */
  outsideAcross: dimensionSchema,
  outsideUp: dimensionSchema,
});
export type StoreyPart = z.infer<typeof storeySchema>;

const dimensions = ({ outsideAcross, outsideUp }: StoreyPart): DimensionSlot[] => [
  { path: "outsideAcross", label: "Outside, across the page", of: "Tape reading", dimension: outsideAcross },
  { path: "outsideUp", label: "Outside, up the page", of: "Tape reading", dimension: outsideUp },
];

const problems = (part: StoreyPart, { system }: PartContext): Problem[] =>
  dimensions(part).flatMap(({ path, dimension }) =>
    dimension.valueNm !== null && dimension.valueNm <= 0
      ? [problem("not-positive", path, "An outside reading is more than zero.")]
      : atMost(path, "An outside reading", dimension, LARGEST_SIDE_NM, system),
  );

export const storeyKind: PartKind<StoreyPart> = {
  kind: "storey",
  label: "Storey",
  plural: "Storeys",
  takesNoAssemblies: true,
  schema: storeySchema,
  migrations: [],
  defaults: (id, name) => ({
    kind: "storey",
    schemaVersion: 1,
    ...newBase(id, name),
    storey: name,
    level: 0,
    northDegrees: null,
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
    if (path !== "outsideAcross" && path !== "outsideUp") {
      throw new Error(`storey: "${path}" is not one of its figures`);
    }
    return { ...part, [path]: to(part[path]) };
  }),
};

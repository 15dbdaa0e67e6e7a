import { z } from "zod";
import { newBase, partBase } from "../../parts/base";
import { type DimensionSlot, dimensionSchema, unmeasured } from "../../parts/dimension";
import { figureSetters } from "../../parts/figures";
import { atMost, LARGEST_SIDE_NM } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { Measure, PartContext, PartKind } from "../../parts/partKind";
import { areaQuantity, lengthQuantity, type QuantityValues } from "../../parts/quantity";
import { type Problem, problem } from "../../problems/problem";
import { areaOf, formatArea, formatLength, toMetres } from "../../units";

/** An area by two figures: a deck, a patch of paving, a panel. */
export const areaSchema = z.object({
  kind: z.literal("area"),
  schemaVersion: z.literal(1),
  ...partBase,
  length: dimensionSchema,
  width: dimensionSchema,
});
export type AreaPart = z.infer<typeof areaSchema>;

const dimensions = ({ length, width }: AreaPart): DimensionSlot[] => [
  { path: "length", label: "Length", of: "", dimension: length },
  { path: "width", label: "Width", of: "", dimension: width },
];

const problems = (part: AreaPart, { system }: PartContext): Problem[] =>
  dimensions(part).flatMap(({ path, label, dimension }) =>
    dimension.valueNm !== null && dimension.valueNm <= 0
      ? [problem("not-positive", path, `The ${label.toLowerCase()} is more than zero.`)]
      : atMost(path, `The ${label.toLowerCase()}`, dimension, LARGEST_SIDE_NM, system),
  );

function measures({ name, length, width }: AreaPart, { system }: PartContext): Measure[] {
  if (length.valueNm === null || width.valueNm === null) return [];
  const text = formatArea(areaOf(length.valueNm, width.valueNm), system);
  const working = {
    sentence: `Area of ${name}.`,
    formula: "length × width",
    withNumbers: `${formatLength(length.valueNm, system)} × ${formatLength(width.valueNm, system)} = ${text}`,
    steps: [],
  };
  return [{ id: "area", name: "Area", of: "", text, working, shapeIds: [] }];
}

export const areaKind: PartKind<AreaPart> = {
  kind: "area",
  label: "Area",
  plural: "Areas",
  schema: areaSchema,
  migrations: [],
  defaults: (id, name) => ({
    kind: "area",
    schemaVersion: 1,
    ...newBase(id, name),
    length: unmeasured,
    width: unmeasured,
  }),
  measures,
  order: 2,
  roles: [],
  functions: [],
  quantityNames: [
    lengthQuantity("length", "Length", "length"),
    lengthQuantity("width", "Width", "width"),
    lengthQuantity("perimeter", "Perimeter"),
    areaQuantity("area", "Area"),
  ],
  quantities: ({ length, width }): QuantityValues => {
    if (length.valueNm === null || width.valueNm === null) return {};
    return {
      length: toMetres(length.valueNm),
      width: toMetres(width.valueNm),
      perimeter: 2 * toMetres(length.valueNm + width.valueNm),
      area: areaOf(length.valueNm, width.valueNm),
    };
  },
  outline: noOutline,
  draw: noDrawing,
  problems,
  openPoints: (part, { system }) => figurePoints(dimensions(part), system),
  dimensions,
  ...figureSetters<AreaPart>((part, path, to) => {
    if (path !== "length" && path !== "width") throw new Error(`area: "${path}" is not one of its figures`);
    return { ...part, [path]: to(part[path]) };
  }),
};

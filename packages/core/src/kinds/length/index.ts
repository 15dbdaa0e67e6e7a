import { z } from "zod";
import { newBase, partBase } from "../../parts/base";
import { type DimensionSlot, dimensionSchema, unmeasured } from "../../parts/dimension";
import { figureSetters } from "../../parts/figures";
import { atMost, LONGEST_RUN_NM } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { PartContext, PartKind } from "../../parts/partKind";
import { lengthQuantity, type QuantityValues } from "../../parts/quantity";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, formatRunningLength, toMetres } from "../../units";

/** A length that is no wall of a room: a fence, a gutter, a run of skirting. */
export const lengthSchema = z.object({
  kind: z.literal("length"),
  schemaVersion: z.literal(1),
  ...partBase,
  length: dimensionSchema,
});
export type LengthPart = z.infer<typeof lengthSchema>;

const dimensions = ({ length }: LengthPart): DimensionSlot[] => [
  { path: "length", label: "Length", of: "", dimension: length },
];

const problems = ({ length }: LengthPart, { system }: PartContext): Problem[] =>
  length.valueNm !== null && length.valueNm <= 0
    ? [problem("not-positive", "length", "A length is more than zero.")]
    : atMost("length", "A length", length, LONGEST_RUN_NM, system);

export const lengthKind: PartKind<LengthPart> = {
  kind: "length",
  label: "Length",
  plural: "Lengths",
  schema: lengthSchema,
  migrations: [],
  defaults: (id, name) => ({ kind: "length", schemaVersion: 1, ...newBase(id, name), length: unmeasured }),
  measures: ({ name, length }, { system }: PartContext) => {
    if (length.valueNm === null) return [];
    const working = {
      sentence: `Length of ${name}.`,
      formula: "as measured",
      withNumbers: length.typed || formatLength(length.valueNm, system),
      steps: [],
    };
    return [
      {
        id: "length",
        name: "Length",
        of: "",
        text: formatRunningLength(length.valueNm, system),
        working,
        shapeIds: [],
      },
    ];
  },
  order: 2,
  roles: [],
  functions: [],
  quantityNames: [lengthQuantity("length", "Length", "length")],
  quantities: ({ length }): QuantityValues => (length.valueNm === null ? {} : { length: toMetres(length.valueNm) }),
  outline: noOutline,
  draw: noDrawing,
  problems,
  openPoints: (part, { system }) => figurePoints(dimensions(part), system),
  dimensions,
  ...figureSetters<LengthPart>((part, path, to) => {
    if (path !== "length") throw new Error(`length: "${path}" is not one of its figures`);
    return { ...part, length: to(part.length) };
  }),
};

import { z } from "zod";
import type { Drawing } from "../../drawing/drawing";
import { newBase, partBase } from "../../parts/base";
import { choicesSlot, type SettledChoices } from "../../parts/choicesSlot";
import { assumedDimension, type DimensionSlot, dimensionSchema, unmeasured } from "../../parts/dimension";
import { figureSetters } from "../../parts/figures";
import { atMost } from "../../parts/limits";
import { noDrawing } from "../../parts/looseDrawing";
import { figurePoints } from "../../parts/openPointsOf";
import type { PartContext, PartKind } from "../../parts/partKind";
import { areaQuantity, lengthQuantity, type QuantityValues } from "../../parts/quantity";
import type { Role } from "../../parts/role";
import type { SlotParameter } from "../../parts/slot";
import { assemblyRefSchema, choicesSchema } from "../../parts/use";
import { type Problem, problem } from "../../problems/problem";
import { areaOf, feet, formatLength, inches, metres, toMetres } from "../../units";

/** A made-up kind: posts at a spacing, rails between them, boards over them. */
const fenceChoicesSchema = z.object({
  postSection: z.string().min(1).max(40),
  railSection: z.string().min(1).max(40),
  postEvery: z.int().min(inches(12)).max(feet(20)),
  rails: z.int().min(1).max(6),
  boardGap: z.int().min(0).max(inches(12)),
});
export type FenceChoices = z.infer<typeof fenceChoicesSchema>;

const USUAL: FenceChoices = { postSection: "4x4", railSection: "2x4", postEvery: feet(8), rails: 2, boardGap: 0 };

const fenceSchema = z.object({
  kind: z.literal("fence"),
  schemaVersion: z.literal(1),
  ...partBase,
  length: dimensionSchema,
  height: dimensionSchema,
  assembly: assemblyRefSchema,
  choices: choicesSchema,
});
export type Fence = z.infer<typeof fenceSchema> & { readonly settled?: SettledChoices<FenceChoices> };

const choice = (
  name: keyof FenceChoices,
  label: string,
  kind: SlotParameter["kind"],
  asked = false,
): SlotParameter => ({
  name,
  label,
  kind,
  asked,
  usual: { imperial: USUAL[name], metric: USUAL[name] },
  stands: (value) => fenceChoicesSchema.shape[name].safeParse(value).success,
  path: `choices.${name}`,
});

const PARAMETERS: readonly SlotParameter[] = [
  choice("postEvery", "Posts at most every", "length", true),
  choice("rails", "Rails", "number"),
  choice("postSection", "Post", "section"),
  choice("railSection", "Rail", "section"),
  choice("boardGap", "Gap between boards", "length"),
];

const ROLES: readonly Role[] = [
  { id: "fence-post", words: "fence posts", form: "stick", tone: "king", group: "Fence", mark: "FP" },
  { id: "fence-rail", words: "fence rails", form: "stick", tone: "plate", group: "Fence", mark: "FR" },
  { id: "fence-board", words: "fence boards", form: "stick", tone: "board", group: "Fence", mark: "FB" },
];

const dimensions = ({ length, height }: Fence): DimensionSlot[] => [
  { path: "length", label: "Length", of: "", dimension: length },
  { path: "height", label: "Height", of: "", dimension: height },
];

const problems = (fence: Fence, { system }: PartContext): Problem[] =>
  dimensions(fence).flatMap(({ path, label, dimension }) =>
    dimension.valueNm !== null && dimension.valueNm <= 0
      ? [problem("not-positive", path, `The ${label.toLowerCase()} of a fence is more than zero.`)]
      : atMost(
          path,
          `The ${label.toLowerCase()} of a fence`,
          dimension,
          path === "height" ? metres(4) : metres(300),
          system,
        ),
  );

export function drawFence({ length, height }: Fence, { system }: PartContext): Drawing {
  const [widthNm, heightNm] = [length.valueNm, height.valueNm];
  if (widthNm === null || heightNm === null) return noDrawing();
  return {
    kind: "elevation",
    widthNm,
    heightNm,
    rectangles: [{ id: "outline", role: "outline", xNm: 0, yNm: 0, widthNm, heightNm }],
    dimensions: [
      {
        id: "length",
        path: "length",
        direction: "along",
        fromNm: 0,
        toNm: widthNm,
        row: 1,
        text: formatLength(widthNm, system),
      },
      {
        id: "height",
        path: "height",
        direction: "up",
        fromNm: 0,
        toNm: heightNm,
        row: 1,
        text: formatLength(heightNm, system),
      },
    ],
  };
}

export const choicesIn = ({ settled }: Fence): FenceChoices => settled?.choices ?? USUAL;

export const fenceKind: PartKind<Fence> = {
  kind: "fence",
  label: "Fence",
  plural: "Fences",
  order: 2,
  schema: fenceSchema,
  migrations: [],
  defaults: (id, name) => ({
    kind: "fence",
    schemaVersion: 1,
    ...newBase(id, name),
    length: unmeasured,
    height: assumedDimension(feet(6)),
    assembly: { id: "fence", version: 1 },
    choices: {},
  }),
  measures: () => [],
  quantityNames: [
    lengthQuantity("length", "Length", "length"),
    lengthQuantity("height", "Height", "height"),
    areaQuantity("area", "Area of one side"),
  ],
  quantities: ({ length, height }): QuantityValues =>
    length.valueNm === null || height.valueNm === null
      ? {}
      : {
          length: toMetres(length.valueNm),
          height: toMetres(height.valueNm),
          area: areaOf(length.valueNm, height.valueNm),
        },
  roles: ROLES,
  functions: [],
  slot: choicesSlot<FenceChoices, Fence>({
    id: "fence",
    question: "What is this fence made of?",
    words: "Built by this assembly",
    changeWords: "Change the assembly that builds it",
    moreWords: "rails, sections, gaps",
    parameters: PARAMETERS,
    read: (values) => fenceChoicesSchema.parse(values),
    usual: () => USUAL,
  }),
  outline: ({ length, height }) => ({ xNm: 0, yNm: 0, widthNm: length.valueNm ?? 0, heightNm: height.valueNm ?? 0 }),
  draw: drawFence,
  depthOf: () => ({ nearNm: 0, deepNm: inches(1) }),
  problems,
  openPoints: (fence, context) => figurePoints(dimensions(fence), context.system),
  dimensions,
  ...figureSetters<Fence>((fence, path, to) => {
    if (path !== "length" && path !== "height") throw new Error(`fence: "${path}" is not one of its figures`);
    return { ...fence, [path]: to(fence[path]) };
  }),
};

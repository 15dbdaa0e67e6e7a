import { z } from "zod";
import { newBase, partBase } from "../../parts/base";
import { countSlot } from "../../parts/figure";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import type { PartKind } from "../../parts/partKind";
import { countQuantity, type QuantityValues } from "../../parts/quantity";

export const MOST_SPOTS = 100_000;

/** Things that are counted: posts, hold-downs, sockets. Where they are is the location; a photo shows them. */
export const spotsSchema = z.object({
  kind: z.literal("spots"),
  schemaVersion: z.literal(1),
  ...partBase,
  /** What one of them is called: `post`. */
  what: z.string().max(80),
  /** Null until someone has counted. */
  count: z.int().min(0).max(MOST_SPOTS).nullable(),
});
export type SpotsPart = z.infer<typeof spotsSchema>;

export const spotsKind: PartKind<SpotsPart> = {
  kind: "spots",
  label: "Counted spots",
  plural: "Counted spots",
  schema: spotsSchema,
  migrations: [],
  defaults: (id, name) => ({ kind: "spots", schemaVersion: 1, ...newBase(id, name), what: "post", count: null }),
  measures: ({ count, what, location }) => {
    if (count === null) return [];
    const text = `${count} × ${what}`;
    const where = location ? ` at ${location}` : "";
    const working = { sentence: `Counted on site${where}.`, formula: "as counted", withNumbers: text, steps: [] };
    return [{ id: "count", name: "Count", of: "", text, working, shapeIds: [] }];
  },
  order: 2,
  figures: ({ count, what }) => [countSlot("count", "How many", count, { most: MOST_SPOTS, of: what })],
  withFigure: (part, _path, value) => ({ ...part, count: value }),
  withCount: (part, name, count) => (name === "count" ? { ...part, count } : undefined),
  roles: [],
  functions: [],
  quantityNames: [countQuantity("count", "Count", "count")],
  quantities: ({ count }): QuantityValues => (count === null ? {} : { count }),
  outline: noOutline,
  draw: noDrawing,
  problems: () => [],
  openPoints: ({ count, what }) =>
    count === null ? [{ path: "count", kind: "missing", message: `${what || "They"}: not counted yet` }] : [],
  dimensions: () => [],
  withDimension: (_part, path) => {
    throw new Error(`spots: "${path}" is not one of its figures`);
  },
  withRefused: (part) => part,
};

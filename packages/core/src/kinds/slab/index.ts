import { newPlate, plateKindFields } from "../../ground/plate/kind";
import { newBase } from "../../parts/base";
import type { PartKind } from "../../parts/partKind";
import { SLAB_PARAMETERS, type Slab, slabSchema } from "./schema";

export const slabKind: PartKind<Slab> = {
  kind: "slab",
  label: "Slab",
  plural: "Slabs",
  schema: slabSchema,
  migrations: [],
  defaults: (id, name, context) => ({
    kind: "slab",
    schemaVersion: 1,
    ...newBase(id, name),
    ...newPlate(context),
    edgeForm: "plain",
    ribs: [],
    assembly: { id: "slab", version: 1 },
  }),
  ...plateKindFields<Slab>(SLAB_PARAMETERS, "steel, laps, formwork, working space, rounding"),
};

export * from "./schema";

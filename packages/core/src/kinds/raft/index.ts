import { newPlate, plateKindFields } from "../../ground/plate/kind";
import { newBase } from "../../parts/base";
import type { PartKind } from "../../parts/partKind";
import { RAFT_PARAMETERS, type Raft, raftSchema } from "./schema";

export const raftKind: PartKind<Raft> = {
  kind: "raft",
  label: "Raft",
  plural: "Rafts",
  schema: raftSchema,
  migrations: [],
  defaults: (id, name, context) => ({
    kind: "raft",
    schemaVersion: 1,
    ...newBase(id, name),
    ...newPlate(context),
    edgeForm: "beam",
    ribs: [],
    assembly: { id: "raft", version: 1 },
  }),
  ...plateKindFields<Raft>(RAFT_PARAMETERS, "steel, laps, formwork, working space, rounding"),
};

export * from "./schema";

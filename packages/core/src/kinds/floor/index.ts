import { joistedKindFields, newJoisted } from "../../joists/kind";
import { joistMigrations } from "../../joists/migrations";
import { newBase } from "../../parts/base";
import type { PartKind } from "../../parts/partKind";
import { STUD_WALL_FUNCTIONS } from "../stud-wall/functions";
import { FLOOR_PARAMETERS, type Floor, floorSchema } from "./schema";

const OF_SHEETS: ReadonlySet<string> = new Set(["sheets", "cover", "sheetFixings"]);

export const floorKind: PartKind<Floor> = {
  kind: "floor",
  label: "Floor",
  plural: "Floors",
  schema: floorSchema,
  migrations: joistMigrations,
  defaults: (id, name) => ({
    kind: "floor",
    schemaVersion: 2,
    ...newBase(id, name),
    ...newJoisted(),
    assembly: { id: "floor", version: 1 },
  }),
  functions: STUD_WALL_FUNCTIONS.filter(({ name }) => OF_SHEETS.has(name)),
  ...joistedKindFields<Floor>(FLOOR_PARAMETERS, {
    question: "What is this floor built of?",
    moreWords: "supports, blocking, straps, beams and posts, panels",
  }),
};

export * from "./schema";

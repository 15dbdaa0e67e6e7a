import { joistedKindFields, newJoistEdge, newJoisted } from "../../joists/kind";
import { joistMigrations } from "../../joists/migrations";
import { newBase } from "../../parts/base";
import { measured, unmeasured } from "../../parts/dimension";
import { marked } from "../../parts/figures";
import { figurePoints } from "../../parts/openPointsOf";
import type { PartKind } from "../../parts/partKind";
import { STUD_WALL_FUNCTIONS } from "../stud-wall/functions";
import { FLAT_ROOF_QUANTITIES, flatRoofQuantities } from "./quantities";
import { FLAT_ROOF_PARAMETERS, type FlatRoof, flatRoofSchema } from "./schema";
import { usualOverhang } from "./sides";
import { TRIMS, trimDimensions, trimOf, trimProblems } from "./trims";

const OF_SHEETS: ReadonlySet<string> = new Set(["sheets", "cover", "sheetFixings"]);

const fields = joistedKindFields<FlatRoof>(FLAT_ROOF_PARAMETERS, {
  question: "What is this roof built of?",
  moreWords: "bearing, ladders, noggings, firrings, panels",
});

export const flatRoofKind: PartKind<FlatRoof> = {
  ...fields,
  kind: "flat-roof",
  label: "Flat roof",
  plural: "Flat roofs",
  schema: flatRoofSchema,
  migrations: joistMigrations,
  defaults: (id, name, { system }) => ({
    kind: "flat-roof",
    schemaVersion: 2,
    ...newBase(id, name),
    ...newJoisted(),
    // Against a wall along Edge A; the others are open.
    edges: ["a", "b", "c", "d"].map((edgeId) =>
      edgeId === "a"
        ? newJoistEdge(edgeId)
        : { ...newJoistEdge(edgeId), bears: "free", overhang: usualOverhang(system) },
    ),
    fallsTo: "",
    fasciaOn: null,
    kerbOn: [],
    gutterOn: null,
    fascia: unmeasured,
    drip: unmeasured,
    soffit: unmeasured,
    kerb: unmeasured,
    gutter: unmeasured,
    upstand: unmeasured,
    flashing: unmeasured,
    assembly: { id: "flat-roof", version: 1 },
  }),
  functions: STUD_WALL_FUNCTIONS.filter(({ name }) => OF_SHEETS.has(name)),
  quantityNames: FLAT_ROOF_QUANTITIES,
  quantities: flatRoofQuantities,
  problems: (roof, context) => [...fields.problems(roof, context), ...trimProblems(roof, context)],
  dimensions: (roof, context) => [...fields.dimensions(roof, context), ...trimDimensions(roof)],
  withDimension: (roof, path, valueNm, typed, context) => {
    const trim = trimOf(path);
    return trim
      ? { ...roof, [trim]: measured(valueNm, typed) }
      : fields.withDimension(roof, path, valueNm, typed, context);
  },
  withRefused: (roof, path, typed) => {
    const trim = trimOf(path);
    return trim ? { ...roof, [trim]: marked(roof[trim], typed) } : fields.withRefused(roof, path, typed);
  },
  openPoints: (roof, context) => [
    ...fields.openPoints(roof, context),
    // One that follows is asked of nobody; one that was refused is said.
    ...figurePoints(
      TRIMS.flatMap(([path, label]) =>
        roof[path].refused === undefined ? [] : [{ path, label, of: "", dimension: roof[path] }],
      ),
      context.system,
    ),
  ],
};

export * from "./schema";
export { fasciaSides, gutterSides, isOpen, lowSide, withSide } from "./sides";
export { isByHand, TRIMS, type Trim, trimNm } from "./trims";

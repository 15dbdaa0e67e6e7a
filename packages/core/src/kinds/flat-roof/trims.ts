import type { Dimension, DimensionSlot } from "../../parts/dimension";
import { atMost, LONGEST_RUN_NM } from "../../parts/limits";
import type { PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import type { Nanometres } from "../../units";
import type { FlatRoof } from "./schema";
import { fasciaSides, gutterSides, isOpen } from "./sides";

/** Lengths along its sides, each with what it follows while nobody has set it. */
export const TRIMS = [
  ["fascia", "Fascia", "its sides"],
  ["drip", "Drip", "the fascia"],
  ["soffit", "Soffit", "the fascia"],
  ["kerb", "Kerb", "its sides"],
  ["gutter", "Gutter", "its sides"],
  ["upstand", "Upstand at walls", "the sides at walls"],
  ["flashing", "Flashing at walls", "the upstand"],
] as const;
export type Trim = (typeof TRIMS)[number][0];

const along = (roof: FlatRoof, ids: readonly string[]): Nanometres =>
  roof.edges.filter(({ id }) => ids.includes(id)).reduce((sum, { length }) => sum + (length.valueNm ?? 0), 0);

/** How long a trim is: as it was set by hand, else as what it follows. */
export function trimNm(roof: FlatRoof, trim: Trim): Nanometres {
  const own = roof[trim].valueNm;
  if (own !== null) return own;
  switch (trim) {
    case "fascia":
      return along(roof, fasciaSides(roof));
    case "kerb":
      return along(roof, roof.kerbOn);
    case "gutter":
      return along(roof, gutterSides(roof));
    case "upstand":
      return along(
        roof,
        roof.edges.filter((edge) => !isOpen(edge)).map(({ id }) => id),
      );
    case "flashing":
      return trimNm(roof, "upstand");
    default:
      return trimNm(roof, "fascia");
  }
}

/** Whether a trim was set by hand, and no longer follows. */
export const isByHand = (roof: FlatRoof, trim: Trim): boolean => roof[trim].valueNm !== null;

const shown = (roof: FlatRoof, trim: Trim): Dimension =>
  isByHand(roof, trim) ? roof[trim] : { ...roof[trim], valueNm: trimNm(roof, trim), assumed: true };

export const trimDimensions = (roof: FlatRoof): DimensionSlot[] =>
  TRIMS.map(([path, label]) => ({ path, label, of: "", dimension: shown(roof, path), follows: !isByHand(roof, path) }));

/** Trims may be none; longer ones than any roof's are a slip of the unit. */
export const trimProblems = (roof: FlatRoof, { system }: PartContext): Problem[] =>
  TRIMS.flatMap(([path, label]) => {
    const { valueNm } = roof[path];
    if (valueNm !== null && valueNm < 0) return [problem("not-positive", path, `${label} is at least zero.`)];
    return atMost(path, label, roof[path], LONGEST_RUN_NM, system);
  });

export const trimOf = (path: string): Trim | undefined => TRIMS.find(([name]) => name === path)?.[0];

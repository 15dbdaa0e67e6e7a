import { type Problem, problem } from "../problems/problem";
import { formatLength, type MeasuringSystem, metres, type Nanometres } from "../units";
import type { Dimension } from "./dimension";

/** Longer runs, and larger sites, are a slip of the unit. */
export const LONGEST_RUN_NM = metres(10_000);
export const LARGEST_SIDE_NM = metres(1000);
export const LONGEST_WALL_NM = metres(200);
/** Walls of a castle are thinner. */
export const THICKEST_NM = metres(3);

/** A figure above what there is; `name` begins the sentence. */
export function atMost(
  path: string,
  name: string,
  { valueNm }: Dimension,
  mostNm: Nanometres,
  system: MeasuringSystem,
): Problem[] {
  if (valueNm === null || valueNm <= mostNm) return [];
  return [problem("too-large", path, `${name} is at most ${formatLength(mostNm, system)}. Check the unit.`)];
}

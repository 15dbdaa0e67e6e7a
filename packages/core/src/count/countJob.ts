import type { Library } from "../assemblies";
import type { Part } from "../kinds";
import { Planner, resolveParts, surroundingsOf } from "../plan";
import type { MeasuringSystem } from "../units";
import { countPart } from "./countPart";
import { JobSheets } from "./jobSheets";
import type { PartCount } from "./partCount";

/** Counts one part; a caller that remembers earlier counts passes its own. */
export type PartCounter = typeof countPart;

/** What a caller that remembers brings along to a count. */
export type RememberedCounts = {
  readonly count?: PartCounter;
  readonly sheets?: JobSheets;
  readonly planner?: Planner;
};

/** Every part's count, as it stands on the plan, and with what the parts of the job share. */
export function countJob(
  parts: readonly Part[],
  system: MeasuringSystem,
  library: Library,
  { count = countPart, sheets = new JobSheets(), planner = new Planner() }: RememberedCounts = {},
): PartCount[] {
  const plan = planner.plan(parts);
  const alone = resolveParts(parts, plan).map((part) => count(part, system, library, surroundingsOf(plan, part.id)));
  return sheets.apply(alone);
}

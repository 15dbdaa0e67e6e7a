import { type Assembly, type AssemblyTable, problemsOf, runExamples, withTables } from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import { unfit } from "../http/problemDetails";
import type { AssemblyResults } from "./entity";

/** Names that mean something else in formulas: such an assembly is not saved at all. */
const REFUSED: ReadonlySet<string> = new Set(["reserved-name"]);

/** Throws 422 for what is wrong beyond a formula that can be mended later. */
export function requireSound(assembly: Assembly, others: readonly Assembly[] = []): void {
  const refused = problemsOf(assembly, others).filter((each) => REFUSED.has(each.code));
  if (refused.length > 0) throw unfit(refused.map((each) => ({ ...each, path: `assembly.${each.path}` })));
}

/**
 * Works a version's examples, before it is stored: reading the list of assemblies then works nothing. An example that breaks
 * off is one that does not come out.
 */
export function resultsOf(
  written: Assembly,
  others: readonly Assembly[] = [],
  tables: readonly AssemblyTable[] = [],
): AssemblyResults {
  const assembly = withTables(written, tables);
  const problems = problemsOf(assembly, others).length;
  const all = { ...library, assemblies: [...others] };
  const failing = assembly.examples.filter((example) => {
    try {
      return runExamples({ ...assembly, examples: [example] }, all).some((each) => !each.passes);
    } catch {
      return true;
    }
  });
  return { failingExamples: failing.length, problems };
}

import {
  guessMatch,
  type MeasuringSystem,
  ownValue,
  type ReportMatch,
  type ReportTable,
  reportShape,
} from "@wide-porch/core";
import { useState } from "react";
import useSWR from "swr";
import { ask } from "../../api/client";
import { reportColumnsSchema } from "../../api/records";

export const REPORT_COLUMNS = "/report-columns";

/** How the columns of a report are read: as the company did before, else by their headings, until somebody changes it. */
export function useMatch(table: ReportTable, system: MeasuringSystem) {
  const known = useSWR(REPORT_COLUMNS, (path: string) => ask(reportColumnsSchema, "GET", path));
  const [own, setOwn] = useState<ReportMatch>();
  const [failure, setFailure] = useState<string>();
  const shape = reportShape(table);
  const before = known.data && ownValue(known.data.columns, shape);
  // Without signal the headings have to do.
  const match = own ?? before ?? (known.data || known.error ? guessMatch(table, system) : undefined);
  const remember = async () => {
    if (!match || match === before) return;
    try {
      const answer = await ask(reportColumnsSchema, "PUT", REPORT_COLUMNS, { shape, match });
      await known.mutate(answer, { revalidate: false });
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  return { match, isKnown: before !== undefined, change: setOwn, remember, failure };
}

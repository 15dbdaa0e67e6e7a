import { formatMoney } from "@wide-porch/core";
import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { type JobListItem, jobTotalSchema } from "../api/records";
import { Faint, Figure } from "../components/Text";

let last: Promise<unknown> = Promise.resolve();

/** One after another: to reckon a job is work for the server, and a list has many. */
function askInTurn(path: string) {
  const asked = last.then(() => ask(jobTotalSchema, "GET", path));
  last = asked.catch(() => undefined);
  return asked;
}

/** What a job comes to. One that nobody reckoned since it changed is reckoned when its row is seen. */
export function JobTotal({ record }: { readonly record: JobListItem }) {
  const { id, job, total: listed } = record;
  const due = listed === null || listed.old;
  const path = `/jobs/${id}/total`;
  const asked = useSWR(due ? [path, record.updatedAt] : null, () => askInTurn(path), {
    revalidateOnFocus: false,
    shouldRetryOnError: false,
  });
  const shown = asked.data ?? listed;
  if (!shown) return <Faint>{asked.error ? "Not reckoned" : "…"}</Faint>;
  return (
    <View className={`items-end ${due && !asked.data ? "opacity-60" : ""}`}>
      <Figure className="text-base">{formatMoney(shown.total, job.currency)}</Figure>
      {shown.former === null ? null : (
        <Faint className="figures text-clay">{`${formatMoney(shown.former, job.currency)} before an update`}</Faint>
      )}
      <Faint className="figures">{`${shown.marginPercent.replace("-", "−")} % margin`}</Faint>
    </View>
  );
}

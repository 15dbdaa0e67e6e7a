import { formatMoney } from "@wide-porch/core";
import useSWR from "swr";
import { ask } from "../api/client";
import { jobTotalSchema } from "../api/records";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { useJob } from "../job/JobContext";

/** An update of the program counts or prices something otherwise: what the draft came to before stands beside what it comes to now. */
export function FormerTotal() {
  const { jobId, record } = useJob("jobId", "record");
  const path = `/jobs/${jobId}/total`;
  const asked = useSWR([path, record.revision], () => ask(jobTotalSchema, "GET", path), {
    revalidateOnFocus: false,
    shouldRetryOnError: false,
  });
  const { former = null, total = "0" } = asked.data ?? {};
  if (former === null) return null;
  const { currency } = record.job;
  return (
    <Notice title="An update has changed this price">
      <Body>
        {`Before the last update of Wide Porch this job came to ${formatMoney(former, currency)}, at the same prices and figures; now it comes to ${formatMoney(total, currency)}. Quotes that were issued stay as they are.`}
      </Body>
    </Notice>
  );
}

import type { Comparison, Job } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { type QuoteRecord, quoteInputsSchema, quoteListSchema } from "../api/records";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Faint, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { reckoner } from "../worker/reckoner";
import { Difference } from "./Difference";

/** The job as it stands beside a quote that was issued, and why it comes to more or less. */
export function Compare() {
  const { record, jobId, parts, priceList, rules } = useJob("record", "jobId", "parts", "priceList", "rules");
  const quotes = useSWR(`/jobs/${jobId}/quotes`, (path: string) => ask(quoteListSchema, "GET", path));
  const [shown, setShown] = useState<{
    readonly number: string;
    readonly found?: Comparison;
    readonly failure?: string;
  }>();
  const { job } = record;
  const { pricing } = job;
  const list = quotes.data?.items ?? [];
  if (pricing === null) return null;
  const compare = async ({ id, number }: QuoteRecord) => {
    setShown({ number });
    try {
      const from = await ask(quoteInputsSchema, "GET", `/jobs/${jobId}/quotes/${id}/inputs`);
      const before = { ...from, standard: from.standard ?? undefined };
      const now: Job = { ...job, pricing };
      const found = await reckoner().compare(before, { job: now, parts, priceList, ...rules });
      setShown({ number, found });
    } catch (error) {
      setShown({ number, failure: error instanceof Error ? error.message : String(error) });
    }
  };
  return (
    <View className="gap-2">
      <Title level={2}>Beside others</Title>
      {list.map((quote) => (
        <Button
          key={quote.id}
          label={`Compare with ${quote.number}`}
          kind="plain"
          onPress={() => void compare(quote)}
        />
      ))}
      <Link href={`/jobs/${jobId}/price/compare` as Href}>
        <Strong className="text-pine underline">Side by side with quotes and other jobs</Strong>
      </Link>
      <Sheet
        open={shown !== undefined}
        onClose={() => setShown(undefined)}
        title={`Now, and as quoted in ${shown?.number ?? ""}`}
      >
        {shown?.failure ? <Warning role="alert">{shown.failure}</Warning> : null}
        {shown && !shown.found && !shown.failure ? <Faint role="status">Reckoning both, cause by cause</Faint> : null}
        {shown?.found ? (
          <Difference comparison={shown.found} currency={job.currency} names={["As quoted", "Now"]} />
        ) : null}
      </Sheet>
    </View>
  );
}

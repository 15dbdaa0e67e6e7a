import { type Cause, type Comparison, formatMoney, type Job } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { type QuoteRecord, quoteInputsSchema, quoteListSchema } from "../api/records";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Figure, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { reckoner } from "../worker/reckoner";
import { KIND_WORDS, KINDS_IN_ORDER } from "./kindWords";

const CAUSE_WORDS: Readonly<Record<Cause, { readonly name: string; readonly under: string }>> = {
  dimension: { name: "Dimensions", under: "what was measured, and parts put in or taken out" },
  rule: { name: "Rules", under: "assemblies, house standard, options, items swapped" },
  price: { name: "Prices", under: "price list, rates, what was typed in" },
  productivity: { name: "Productivity", under: "hours of tasks, and the pace of the standard" },
  markup: { name: "Markup", under: "steps from cost to price, typed prices, tax" },
};

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
  if (pricing === null || list.length === 0) return null;
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
      <Title level={2}>Beside what was quoted</Title>
      {list.map((quote) => (
        <Button
          key={quote.id}
          label={`Compare with ${quote.number}`}
          kind="plain"
          onPress={() => void compare(quote)}
        />
      ))}
      <Sheet
        open={shown !== undefined}
        onClose={() => setShown(undefined)}
        title={`Now, and as quoted in ${shown?.number ?? ""}`}
      >
        {shown?.failure ? <Warning role="alert">{shown.failure}</Warning> : null}
        {shown && !shown.found && !shown.failure ? <Faint role="status">Reckoning both, cause by cause</Faint> : null}
        {shown?.found ? <Difference comparison={shown.found} currency={job.currency} /> : null}
      </Sheet>
    </View>
  );
}

const signed = (amount: string, currency: string): string =>
  `${amount.startsWith("-") || Number(amount) === 0 ? "" : "+"}${formatMoney(amount, currency)}`;

/** Both totals, what makes the difference, and the kinds of cost side by side. */
function Difference({ comparison, currency }: { readonly comparison: Comparison; readonly currency: string }) {
  const { from, to, difference, causes, kinds } = comparison;
  const say = (amount: string) => formatMoney(amount, currency);
  return (
    <View className="gap-3">
      <Row name="As quoted" amount={say(from)} />
      {causes.map(({ cause, amount, least, most }) => (
        <Row
          key={cause}
          name={CAUSE_WORDS[cause].name}
          under={
            least === most
              ? CAUSE_WORDS[cause].under
              : `${CAUSE_WORDS[cause].under}; told in another order ${signed(least, currency)} to ${signed(most, currency)}`
          }
          amount={signed(amount, currency)}
        />
      ))}
      <Row name="Now" amount={say(to)} strong />
      <Body role="status">
        {Number(difference) === 0 ? "Both come to the same." : `${signed(difference, currency)} in all.`}
      </Body>
      <Title level={3}>Cost, by kind</Title>
      {KINDS_IN_ORDER.flatMap((kind) => {
        const found = kinds.find((each) => each.kind === kind);
        if (!found || (Number(found.from) === 0 && Number(found.to) === 0)) return [];
        return [<Row key={kind} name={KIND_WORDS[kind]} amount={`${say(found.from)} → ${say(found.to)}`} />];
      })}
    </View>
  );
}

type RowProps = { readonly name: string; readonly amount: string; readonly under?: string; readonly strong?: boolean };

function Row({ name, amount, under, strong = false }: RowProps) {
  return (
    <View className={`flex-row items-baseline gap-3 py-1 ${strong ? "border-t-2 border-ink" : "border-b border-rule"}`}>
      <View className="min-w-0 flex-1">
        {strong ? <Strong>{name}</Strong> : <Body>{name}</Body>}
        {under ? <Faint>{under}</Faint> : null}
      </View>
      <Figure className="text-base">{amount}</Figure>
    </View>
  );
}

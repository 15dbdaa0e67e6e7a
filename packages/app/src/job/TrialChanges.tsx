import {
  type CountLine,
  compareCounts,
  countsInForce,
  formatChange,
  formatMoney,
  lessMoney,
  quantityText,
  withLineChoices,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { quoteListSchema } from "../api/records";
import { Button } from "../components/Button";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { KIND_WORDS, KINDS_IN_ORDER } from "../price/kindWords";
import type { DeviceJob, DeviceReckoning } from "../worker/reckon.worker";
import { useJob } from "./JobContext";

const AT_FIRST = 12;

/** A trial through the whole line: counts, cost by kind, the price, and the quotes that were issued. */
export function TrialChanges() {
  const { trial, reckoning, record } = useJob("trial", "reckoning", "record");
  const before = trial?.before;
  if (!before || !reckoning) return <Body>There is nothing to compare with yet.</Body>;
  return (
    <View className="gap-4">
      <Counts before={before} now={reckoning} job={record.job} />
      {before.buildUp && reckoning.buildUp ? (
        <>
          <Money before={before.buildUp} now={reckoning.buildUp} currency={record.job.currency} />
          <Quotes jobId={record.id} total={reckoning.buildUp.total} currency={record.job.currency} />
        </>
      ) : null}
    </View>
  );
}

type CountsProps = { readonly before: DeviceReckoning; readonly now: DeviceReckoning; readonly job: DeviceJob };

const linesOf = ({ counts }: DeviceReckoning, job: DeviceJob): readonly CountLine[] =>
  countsInForce(withLineChoices(counts, job), job.optionsTaken).flatMap(({ lines }) => lines);

function Counts({ before, now, job }: CountsProps) {
  const [all, setAll] = useState(false);
  const changes = useMemo(() => compareCounts(linesOf(before, job), linesOf(now, job)), [before, now, job]);
  const say = (figure: number, unit: string) => quantityText(figure, unit, job.system);
  return (
    <View className="gap-1">
      <Title level={3}>Counts</Title>
      {changes.length === 0 ? <Faint>No quantity changes.</Faint> : null}
      {(all ? changes : changes.slice(0, AT_FIRST)).map(
        ({ lineId, partName, description, unit, before: was, after }) => (
          <View key={lineId} className="flex-row items-baseline gap-3 border-b border-rule py-1">
            <View className="min-w-0 flex-1">
              <Body>{description}</Body>
              <Faint>{partName}</Faint>
            </View>
            <Figure className="text-base">{`${say(was, unit)} → ${say(after, unit)}`}</Figure>
          </View>
        ),
      )}
      {!all && changes.length > AT_FIRST ? (
        <Button label={`All ${changes.length} that change`} kind="quiet" onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}

type Priced = NonNullable<DeviceReckoning["buildUp"]>;
type MoneyProps = { readonly before: Priced; readonly now: Priced; readonly currency: string };

function Money({ before, now, currency }: MoneyProps) {
  const costOf = ({ kinds }: Priced, kind: string) => kinds.find((each) => each.kind === kind)?.cost ?? "0.00";
  const kinds = KINDS_IN_ORDER.map((kind) => [KIND_WORDS[kind], costOf(before, kind), costOf(now, kind)] as const);
  const rows = [
    ...kinds.filter(([, was, is]) => Number(was) !== 0 || Number(is) !== 0),
    ["Cost", before.cost, now.cost] as const,
    ["Price before tax", before.priceBeforeTax, now.priceBeforeTax] as const,
    ["Total to pay", before.total, now.total] as const,
  ];
  return (
    <View className="gap-1">
      <Title level={3}>Cost and price</Title>
      {rows.map(([name, was, is]) => (
        <Moved key={name} name={name} was={was} is={is} currency={currency} />
      ))}
      <Body className="figures">{`Margin ${before.marginOnPricePercent} % → ${now.marginOnPricePercent} %.`}</Body>
    </View>
  );
}

type QuotesProps = { readonly jobId: string; readonly total: string; readonly currency: string };

/** Issued quotes stay as they were issued: what the job would be above or below each is said. */
function Quotes({ jobId, total, currency }: QuotesProps) {
  const quotes = useSWR(`/jobs/${jobId}/quotes`, (path: string) => ask(quoteListSchema, "GET", path));
  const items = quotes.data?.items ?? [];
  return (
    <View className="gap-1">
      <Title level={3}>Issued quotes</Title>
      {quotes.error ? <Faint>They are not known here without signal.</Faint> : null}
      {quotes.data && items.length === 0 ? <Faint>None was issued.</Faint> : null}
      {items.map(({ id, number, document }) => (
        <Moved
          key={id}
          name={`Quote ${number}, and the job then`}
          was={document.total}
          is={total}
          currency={currency}
        />
      ))}
      {items.length > 0 ? <Faint>A quote that was issued stays as it is.</Faint> : null}
    </View>
  );
}

type MovedProps = { readonly name: string; readonly was: string; readonly is: string; readonly currency: string };

function Moved({ name, was, is, currency }: MovedProps) {
  const by = lessMoney(is, was);
  return (
    <View className="flex-row items-baseline gap-3 border-b border-rule py-1">
      <View className="min-w-0 flex-1">
        <Body>{name}</Body>
        <Faint className="figures">{`${formatMoney(was, currency)} → ${formatMoney(is, currency)}`}</Faint>
      </View>
      <Strong className="figures">{Number(by) === 0 ? "the same" : formatChange(by, currency)}</Strong>
    </View>
  );
}

import { type BuildUp, formatMoney, type LedgerLine, linePrices, type Pricing } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { View } from "react-native";
import { Body, Faint, Figure, Title } from "../components/Text";
import { WorkingSheet } from "../count/WorkingSheet";
import { useJob } from "../job/JobContext";
import { LineTools, MarkedAndTaxed } from "./LineTools";
import { type Mark, wasText } from "./lookedAt";
import { cellText, type Items } from "./rowsOf";
import { TypedDetail } from "./TypedDetail";
import { COLUMN_WORDS } from "./words";

const SAID = ["kind", "trade", "phase", "storey", "location", "item", "supplier", "crew", "option", "source"] as const;

type Props = { readonly line: LedgerLine; readonly items: Items; readonly mark: Mark | undefined };

/** One line: what it costs and why, whose it is, and the way back to what was counted. */
export function LineDetail({ line, items, mark }: Props) {
  const { reckoning, record, jobId } = useJob("reckoning", "record", "jobId");
  const router = useRouter();
  const { currency } = record.job;
  const extra = record.job.pricing?.extras.find(({ id }) => line.id === `extra/${id}` || line.id === `fitting/${id}`);
  const [lineId] = line.countLineIds;
  const count = reckoning?.counts.find(({ lines }) => lines.some(({ id }) => id === lineId));
  const counted = count?.lines.find(({ id }) => id === lineId);
  const price = priceOfLine(reckoning?.buildUp, record.job.pricing, line.id);
  const quantity = `${line.quantity} ${line.unitName}`;
  return (
    <View className="gap-4">
      <View className="gap-1">
        <Figure className="text-3xl leading-10">{formatMoney(line.cost, currency)}</Figure>
        <Body className="figures">{line.rate === null ? quantity : `${quantity} at ${line.rate}`}</Body>
        {mark ? (
          <Faint className="figures text-clay">
            {mark.was ? `Since you last looked: ${wasText(mark)}.` : "New since you last looked."}
          </Faint>
        ) : null}
        {price === undefined ? null : (
          <Faint className="figures">{`${formatMoney(price, currency)} of the price before tax, every step with it`}</Faint>
        )}
        {line.source === "counted" && line.itemCode !== "" && line.rate === null ? (
          <Faint>
            Each piece by the length at the cheapest stock that holds it. What is left of the stock is a line of its
            own.
          </Faint>
        ) : null}
      </View>
      <View>
        {SAID.map((key) => {
          const value = cellText(line, key, items);
          if (value === "") return null;
          return (
            <View key={key} className="flex-row justify-between gap-3 border-b border-rule py-1">
              <Faint>{COLUMN_WORDS[key]}</Faint>
              <Body className="text-right">{value}</Body>
            </View>
          );
        })}
      </View>
      {line.shares.length > 1 ? (
        <View>
          <Title level={3}>Shared by</Title>
          {line.shares.map(({ partId, partName, cost }) => (
            <View key={partId} className="flex-row justify-between gap-3 border-b border-rule py-1">
              <Body className="flex-1">{partName}</Body>
              <Figure className="text-base">{formatMoney(cost, currency)}</Figure>
            </View>
          ))}
        </View>
      ) : null}
      {count && counted && reckoning && line.shares.length === 1 ? (
        <>
          <LineTools line={line} countLineId={counted.id} />
          <Title level={3}>How it was counted</Title>
          <WorkingSheet
            line={counted}
            count={count}
            order={reckoning.order}
            onModel={() => router.push(`/jobs/${jobId}/count?view=model&lit=${encodeURIComponent(counted.id)}` as Href)}
          />
        </>
      ) : null}
      {count && counted && line.shares.length === 1 ? null : <MarkedAndTaxed line={line} />}
      {extra ? <TypedDetail extra={extra} /> : null}
    </View>
  );
}

/** The price spread over its lines, and what comes to this one. */
function priceOfLine(buildUp: BuildUp | undefined, pricing: Pricing | null, lineId: string): string | undefined {
  if (!buildUp || !pricing) return undefined;
  const { ledger, priceBeforeTax, adjusted } = buildUp;
  return linePrices(ledger, pricing, priceBeforeTax, adjusted)[ledger.findIndex(({ id }) => id === lineId)];
}

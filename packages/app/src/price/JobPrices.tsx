import { formatChange, formatMoney, lessMoney, type PriceItem, soMany } from "@wide-porch/core";
import { format } from "date-fns/format";
import { parseISO } from "date-fns/parseISO";
import { useEffect, useMemo, useState } from "react";
import { View } from "react-native";
import { clockAheadMs } from "../api/clock";
import type { PriceRecord } from "../api/records";
import { Button } from "../components/Button";
import { CheckRow } from "../components/CheckRow";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { pricesOf } from "../priceList/pricesOf";
import type { PricesTried } from "../worker/reckon.worker";
import { reckoner } from "../worker/reckoner";

/** An item that costs something else in the list than in the job. */
type Newer = { readonly record: PriceRecord; readonly before: PriceItem; readonly used: boolean };

function useNewer(): readonly Newer[] {
  const { priceList, newestPrices, reckoning } = useJob("priceList", "newestPrices", "reckoning");
  return useMemo(() => {
    const own = new Map(priceList.map((item) => [item.code, item]));
    const used = new Set(reckoning?.counts.flatMap(({ lines }) => lines.map(({ itemCode }) => itemCode)) ?? []);
    return newestPrices.items.flatMap((record): Newer[] => {
      const before = own.get(record.item.code);
      if (!before || before === record.item) return [];
      return [{ record, before, used: used.has(record.item.code) }];
    });
  }, [priceList, newestPrices, reckoning]);
}

/** The prices that the job keeps, and what in the list is another since: seen old beside new, all of it taken or some. */
export function JobPrices() {
  const { record, changeJob, newestPrices } = useJob("record", "changeJob", "newestPrices");
  const [open, setOpen] = useState(false);
  const newer = useNewer();
  const { at } = record.job.prices;
  const used = newer.filter((each) => each.used).length;
  const now = newestPrices.at ?? new Date(Date.now() - clockAheadMs()).toISOString();
  const keep = () => changeJob({ prices: { at: now, taken: {} } });
  if (at === null)
    return (
      <View className="gap-1">
        <Title level={2}>Prices</Title>
        <Body>This job follows the price list: what changes there changes its price.</Body>
        <Button label="Keep today's prices" kind="plain" onPress={keep} />
      </View>
    );
  return (
    <View className="gap-1">
      <Title level={2}>Prices</Title>
      <Body>{`Kept as of ${format(parseISO(at), "d MMMM yyyy")}.`}</Body>
      <Faint role="status">
        {newer.length === 0
          ? "Nothing in the price list is another since."
          : `${soMany(newer.length, "item is", "items are")} another in the price list, ${used} of them in this job.`}
      </Faint>
      {newer.length > 0 ? <Button label="Old prices beside new" kind="plain" onPress={() => setOpen(true)} /> : null}
      <Button
        label="Follow the price list"
        kind="quiet"
        onPress={() => changeJob({ prices: { at: null, taken: {} } })}
      />
      <Sheet open={open} onClose={() => setOpen(false)} title="Old prices beside new">
        <Refresh newer={newer} onTakeAll={keep} onDone={() => setOpen(false)} />
      </Sheet>
    </View>
  );
}

/** More are not reckoned one by one. */
const MOST_EACH = 60;

function useTried(newer: readonly Newer[]): PricesTried | undefined {
  const { page, reckoning } = useJob("page", "reckoning");
  const [tried, setTried] = useState<PricesTried>();
  useEffect(() => {
    let gone = false;
    const items = newer.filter(({ used }) => used).map((each) => each.record.item);
    void reckoner()
      .totalsAt(page, items.slice(0, MOST_EACH))
      .then((found) => {
        if (!gone && reckoning) setTried(found);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [newer, page, reckoning]);
  return tried;
}

type RefreshProps = { readonly newer: readonly Newer[]; readonly onTakeAll: () => void; readonly onDone: () => void };

function Refresh({ newer, onTakeAll, onDone }: RefreshProps) {
  const { record, changeJob } = useJob("record", "changeJob");
  const { currency } = record.job;
  const tried = useTried(newer);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const chosen = newer.filter(({ record: { item } }) => !left.has(item.code));
  const turn = (code: string) =>
    setLeft((before) => {
      const next = new Set(before);
      if (!next.delete(code)) next.add(code);
      return next;
    });
  const take = () => {
    if (chosen.length === newer.length) onTakeAll();
    else {
      const taken = Object.fromEntries(chosen.map(({ record: { item, revision } }) => [item.code, revision]));
      changeJob(({ prices }) => ({ prices: { ...prices, taken: { ...prices.taken, ...taken } } }));
    }
    onDone();
  };
  return (
    <View className="gap-3">
      {tried ? (
        <Body role="status" className="figures">
          {`With all of them ${formatMoney(tried.now, currency)} becomes ${formatMoney(tried.all, currency)}.`}
        </Body>
      ) : null}
      {newer
        .toSorted((a, b) => Number(b.used) - Number(a.used))
        .map(({ record: { item }, before, used }) => (
          <CheckRow
            key={item.code}
            label={item.name}
            under={`${priceText(before)} → ${priceText(item)}; ${effect(item.code, used, tried, currency)}`}
            checked={!left.has(item.code)}
            onTurn={() => turn(item.code)}
          />
        ))}
      <Button
        label={chosen.length === newer.length ? "Take all of them" : `Take ${chosen.length} of ${newer.length}`}
        disabled={chosen.length === 0}
        onPress={take}
      />
    </View>
  );
}

const priceText = (item: PriceItem): string =>
  pricesOf(item)
    .map(({ label, price }) => `${label} ${price ?? "no price"}`)
    .join(", ");

function effect(code: string, used: boolean, tried: PricesTried | undefined, currency: string): string {
  if (!used) return "not in this job";
  const own = tried?.each.find((each) => each.code === code);
  if (!tried || !own) return "in this job";
  const by = lessMoney(own.total, tried.now);
  return Number(by) === 0 ? "leaves the total as it is" : `${formatChange(by, currency)} on the total`;
}

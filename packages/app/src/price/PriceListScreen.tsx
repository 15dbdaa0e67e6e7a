import { formatLength, type PriceItem } from "@wide-porch/core";
import { useRouter } from "expo-router";
import { useState } from "react";
import { ScrollView, View } from "react-native";
import useSWR from "swr";
import { ApiProblem, ask } from "../api/client";
import { type PriceRecord, priceListSchema, priceRecordSchema } from "../api/records";
import { seesCosts, useSession } from "../api/session";
import { IconButton } from "../components/Button";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { Pending } from "../components/Waiting";
import { ChevronLeft } from "../icons";
import { FigureField } from "../measure/FigureField";
import { amountProblem } from "./LabourRates";

/** What things cost to buy. Crew see what is stocked, without prices. */
export function PriceListScreen() {
  const router = useRouter();
  const session = useSession().data;
  const prices = useSWR("/price-list", () => ask(priceListSchema, "GET", "/price-list"));
  const [search, setSearch] = useState("");
  if (!session) return null;
  const wanted = search.trim().toLowerCase();
  const items = prices.data?.items.filter(({ item }) => `${item.name} ${item.supplier}`.toLowerCase().includes(wanted));
  return (
    <View className="min-h-0 flex-1">
      <View role="banner" className="flex-row items-center border-b border-rule py-1 pl-1">
        <IconButton
          name="Back to jobs"
          icon={ChevronLeft}
          onPress={() => (router.canGoBack() ? router.back() : router.replace("/jobs"))}
        />
        <Title>Price list</Title>
      </View>
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-3xl gap-5 p-4 pb-10"
      >
        <TextField label="Find an item or a supplier" value={search} onChangeText={setSearch} />
        {items ? (
          items.map((record) => <Item key={record.item.code} record={record} editable={seesCosts(session)} />)
        ) : (
          <Pending error={prices.error} what="the price list" retry={() => void prices.mutate()} />
        )}
        {items?.length === 0 ? <Body>{`Nothing in the price list matches “${search}”.`}</Body> : null}
      </ScrollView>
    </View>
  );
}

function Item({ record, editable }: { record: PriceRecord; editable: boolean }) {
  const prices = useSWR("/price-list", () => ask(priceListSchema, "GET", "/price-list"));
  const [failure, setFailure] = useState<string>();
  const { item } = record;
  const save = async (changed: PriceItem) => {
    setFailure(undefined);
    try {
      const path = `/price-list/${encodeURIComponent(item.code)}`;
      const saved = await ask(priceRecordSchema, "PUT", path, { baseRevision: record.revision, item: changed });
      await prices.mutate(
        (list) => list && { items: list.items.map((each) => (each.item.code === item.code ? saved : each)) },
        { revalidate: false },
      );
    } catch (error) {
      const changedMeanwhile = error instanceof ApiProblem && error.status === 409;
      setFailure(
        changedMeanwhile
          ? "Someone else changed this price. It is shown now; type yours again."
          : String((error as Error).message),
      );
      if (changedMeanwhile) await prices.mutate();
    }
  };
  return (
    <View className="gap-2 border-b border-rule pb-4">
      <View>
        <Strong>{item.name}</Strong>
        <Faint>{item.wastePercent > 0 ? `${item.supplier}, ${item.wastePercent} % waste added` : item.supplier}</Faint>
      </View>
      <View className="flex-row flex-wrap gap-3">
        {pricesOf(item).map((entry) => (
          <PriceEntry
            key={entry.label}
            itemName={item.name}
            entry={entry}
            editable={editable}
            onCommit={(price) => void save(entry.withPrice(price))}
          />
        ))}
      </View>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}

type Entry = {
  readonly label: string;
  readonly price: string | null;
  readonly withPrice: (price: string) => PriceItem;
};

function pricesOf(item: PriceItem): Entry[] {
  const { buying } = item;
  if (buying.by !== "length") {
    const label =
      buying.by === "each"
        ? "Each"
        : buying.by === "pack"
          ? `A ${buying.packName} of ${buying.packSize}`
          : `A ${buying.packName}`;
    return [{ label, price: buying.price, withPrice: (price) => ({ ...item, buying: { ...buying, price } }) }];
  }
  return buying.stock.map((stock) => ({
    label: formatLength(stock.lengthNm, item.system),
    price: stock.price,
    withPrice: (price) => ({
      ...item,
      buying: { ...buying, stock: buying.stock.map((each) => (each === stock ? { ...each, price } : each)) },
    }),
  }));
}

type EntryProps = { itemName: string; entry: Entry; editable: boolean; onCommit: (price: string) => void };

function PriceEntry({ itemName, entry, editable, onCommit }: EntryProps) {
  if (!editable) return <Body>{entry.label}</Body>;
  return (
    <FigureField
      measure="money"
      label={entry.label}
      name={`${itemName}, ${entry.label}`}
      value={entry.price ?? ""}
      check={amountProblem}
      onCommit={onCommit}
      boxClassName={entry.label.length > 12 ? "w-48" : "w-28"}
      className="text-right"
    />
  );
}

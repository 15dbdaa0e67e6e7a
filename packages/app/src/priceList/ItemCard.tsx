import { memo, useState } from "react";
import { View } from "react-native";
import type { PriceRecord } from "../api/records";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Warning } from "../components/Text";
import { FigureField } from "../measure/FigureField";
import { amountProblem } from "../price/LabourRates";
import { ageOfPrice, OLD_AFTER_DAYS, type PriceEntry, pricesOf, todayText } from "./pricesOf";
import type { PriceList } from "./usePriceList";

type Props = {
  readonly record: PriceRecord;
  readonly editable: boolean;
  readonly change: PriceList["change"];
  readonly onOpen: (code: string) => void;
};

/** An item with its prices, each changed where it stands. */
export const ItemCard = memo(function ItemCard({ record, editable, change, onOpen }: Props) {
  const [failure, setFailure] = useState<string>();
  const { item } = record;
  const age = ageOfPrice(item, Date.now());
  const said = [
    item.supplier,
    item.category,
    item.wastePercent > 0 ? `${item.wastePercent} % waste added` : "",
    item.retired ? "retired" : "",
  ];
  const commit = async (entry: PriceEntry, price: string) =>
    setFailure(await change(record, { ...entry.withPrice(price), priceDate: todayText() }));
  return (
    <View className="gap-2 border-b border-rule pb-4">
      <View className="flex-row items-center gap-2">
        <View className="min-w-0 flex-1">
          <Strong className={item.retired ? "text-faint" : ""}>{item.name}</Strong>
          <Faint>{said.filter(Boolean).join(", ")}</Faint>
          {editable && age !== undefined && age > OLD_AFTER_DAYS ? (
            <Warning>{`Its price is ${age} days old.`}</Warning>
          ) : null}
        </View>
        {editable ? (
          <Button label="Open" name={`Open ${item.name}`} kind="quiet" onPress={() => onOpen(item.code)} />
        ) : null}
      </View>
      <View className="flex-row flex-wrap gap-3">
        {pricesOf(item).map((entry) =>
          editable ? (
            <FigureField
              key={entry.label}
              measure="money"
              label={entry.label}
              name={`${item.name}, ${entry.label}`}
              value={entry.price ?? ""}
              check={amountProblem}
              onCommit={(price) => void commit(entry, price)}
              boxClassName={entry.label.length > 12 ? "w-48" : "w-28"}
              className="text-right"
            />
          ) : (
            <Body key={entry.label}>{entry.label}</Body>
          ),
        )}
      </View>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
});

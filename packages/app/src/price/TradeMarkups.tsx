import { MOST_TRADE_MARKUPS, type Pricing } from "@wide-porch/core";
import { View } from "react-native";
import { IconButton } from "../components/Button";
import { Picker } from "../components/Picker";
import { Body, Faint } from "../components/Text";
import { Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { PercentField } from "./PercentField";
import { useChangePricing } from "./useChangePricing";

/** Trades with a markup of their own, in the place of their kinds'; a line can have one of its own on the worksheet. */
export function TradeMarkups({ pricing }: { readonly pricing: Pricing }) {
  const { reckoning } = useJob("reckoning");
  const change = useChangePricing();
  const { markupByTrade } = pricing;
  const all = (reckoning?.buildUp?.ledger ?? []).map(({ trade }) => trade).filter(Boolean);
  const free = [...new Set(all)].filter((trade) => !markupByTrade.some((each) => each.trade === trade)).toSorted();
  const set = (trade: string, percent: string) =>
    change(({ markupByTrade: now }) => ({
      markupByTrade: [...now.filter((each) => each.trade !== trade), { trade, percent }],
    }));
  const takeOut = (trade: string) =>
    change(({ markupByTrade: now }) => ({ markupByTrade: now.filter((each) => each.trade !== trade) }));
  return (
    <View className="gap-2">
      <Faint>
        A trade's markup stands in the place of its kinds'. A line of the worksheet can have one of its own.
      </Faint>
      {markupByTrade
        .toSorted((a, b) => a.trade.localeCompare(b.trade))
        .map(({ trade, percent }) => (
          <View key={trade} className="flex-row items-center gap-3">
            <Body className="flex-1">{trade}</Body>
            <PercentField label={`Markup on ${trade}`} value={percent} onCommit={(text) => set(trade, text)} />
            <IconButton name={`No markup of its own for ${trade}`} icon={Trash2} onPress={() => takeOut(trade)} />
          </View>
        ))}
      {free.length > 0 && markupByTrade.length < MOST_TRADE_MARKUPS ? (
        <Picker
          label="Trade with a markup of its own"
          options={[{ value: "", label: "Choose a trade" }, ...free.map((trade) => ({ value: trade, label: trade }))]}
          value=""
          onChange={(trade) => (trade === "" ? undefined : set(trade, pricing.markupPercent.material))}
        />
      ) : null}
    </View>
  );
}

import { type BuildUp, floorAreaOf, formatMoney, perArea } from "@wide-porch/core";
import { View } from "react-native";
import { Faint, Figure, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { useJobLater } from "../job/useJobLater";
import { OpenSummary } from "../openRange/OpenSummary";

const percentWords = (percent: string): string => `${percent.replace("-", "−")} %`;

/** What one comes here for: what the customer pays, how far that may still move, what is left of it, and what a floor of it costs. */
export function PriceHead({ buildUp }: { readonly buildUp: BuildUp }) {
  const { record, context } = useJob("record", "context");
  const { plan } = useJobLater("plan");
  const { currency } = record.job;
  const say = (amount: string) => formatMoney(amount, currency);
  const each = perArea(buildUp.priceBeforeTax, floorAreaOf(plan), context.system);
  // Both ways of saying the same profit, always named, each with what it is a share of.
  const figures = [
    ["Margin, on price", percentWords(buildUp.marginOnPricePercent)],
    ["Markup, on full cost", percentWords(buildUp.markupOnCostPercent)],
    ["Profit", say(buildUp.profitMade)],
    ...(each ? ([[`A ${each.unit} of floor, before tax`, say(each.amount)]] as const) : []),
  ] as const;
  return (
    <View className="gap-3 border-b-2 border-ink pb-3" testID="price-head">
      <View>
        <Title level={2}>Total to pay</Title>
        <Figure className="text-4xl leading-[44px]">{say(buildUp.total)}</Figure>
      </View>
      <OpenSummary />
      <View className="flex-row flex-wrap gap-y-2">
        {figures.map(([name, figure]) => (
          <View key={name} className="w-1/2 pr-3">
            <Faint>{name}</Faint>
            <Figure className="text-xl leading-7">{figure}</Figure>
          </View>
        ))}
      </View>
    </View>
  );
}

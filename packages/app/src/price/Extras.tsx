import { formatMoney, type Pricing, priceTimes } from "@wide-porch/core";
import { View } from "react-native";
import { IconButton } from "../components/Button";
import { Body, Faint, Figure, Title } from "../components/Text";
import { Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { KIND_WORDS } from "./kindWords";
import { TypedLine } from "./TypedLine";
import { useChangePricing } from "./useChangePricing";

/** Costs typed in beside what is counted: hire, subcontract sums, anything else. */
export function Extras({ pricing }: { pricing: Pricing }) {
  const { record } = useJob("record");
  const change = useChangePricing();
  return (
    <View className="gap-3">
      <Title level={2}>Other costs</Title>
      {pricing.extras.length === 0 ? (
        <Faint>Plant, subcontract sums and anything else that is not counted.</Faint>
      ) : null}
      {pricing.extras.map(({ id, description, kind, section, quantity, unit, cost, minutes }) => (
        <View key={id} className="flex-row items-center gap-2 border-b border-rule">
          <View className="min-w-0 flex-1">
            <Body>{description}</Body>
            <Faint className="figures">
              {[
                KIND_WORDS[kind],
                section,
                quantity === "1" ? "" : `${quantity} ${unit} at ${cost}`,
                Number(minutes) === 0 ? "" : `${minutes} min each`,
              ]
                .filter(Boolean)
                .join(", ")}
            </Faint>
          </View>
          <Figure>{formatMoney(priceTimes(cost, quantity), record.job.currency)}</Figure>
          <IconButton
            name={`Take out ${description}`}
            icon={Trash2}
            onPress={() => change(({ extras }) => ({ extras: extras.filter((each) => each.id !== id) }))}
          />
        </View>
      ))}
      <TypedLine />
    </View>
  );
}

import { type CostKind, type Pricing, percentSchema } from "@wide-porch/core";
import { View } from "react-native";
import { Body, Faint } from "../components/Text";
import { FigureField } from "../measure/FigureField";
import { KIND_WORDS, KINDS_IN_ORDER } from "./kindWords";
import { PercentField } from "./PercentField";
import { useChangePricing } from "./useChangePricing";

const MOST_MONTHS = 60;
const monthsProblem = (text: string): string | undefined =>
  percentSchema.safeParse(text).success && Number.isInteger(Number(text)) && Number(text) <= MOST_MONTHS
    ? undefined
    : `Whole months, at most ${MOST_MONTHS}.`;

/** What costs rise by until the work starts. */
export function Rise({ pricing }: { readonly pricing: Pricing }) {
  const change = useChangePricing();
  const { months, percentAMonth } = pricing.escalation;
  const set = (kind: CostKind, percent: string) =>
    change(({ escalation }) => ({
      escalation: { ...escalation, percentAMonth: { ...escalation.percentAMonth, [kind]: percent } },
    }));
  return (
    <View className="gap-2">
      <Faint>Where that is months away, what each kind of cost rises by in a month.</Faint>
      <View className="flex-row items-center gap-3">
        <Body className="flex-1">Months until then</Body>
        <FigureField
          measure="number"
          label="Months until then"
          hideLabel
          value={String(months)}
          check={monthsProblem}
          onCommit={(text) => change(({ escalation }) => ({ escalation: { ...escalation, months: Number(text) } }))}
          boxClassName="w-24"
          className="text-right"
        />
      </View>
      {months === 0
        ? null
        : KINDS_IN_ORDER.map((kind) => (
            <View key={kind} className="flex-row items-center gap-3">
              <Body className="flex-1">{KIND_WORDS[kind]}</Body>
              <PercentField
                label={`${KIND_WORDS[kind]}, rise in a month`}
                value={percentAMonth[kind]}
                onCommit={(percent) => set(kind, percent)}
              />
            </View>
          ))}
    </View>
  );
}

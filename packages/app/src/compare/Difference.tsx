import { type Comparison, formatChange, formatMoney } from "@wide-porch/core";
import { View } from "react-native";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { KIND_WORDS, KINDS_IN_ORDER } from "../price/kindWords";
import { CAUSE_WORDS } from "./causeWords";

type Props = {
  readonly comparison: Comparison;
  readonly currency: string;
  /** What the first and the second are called. */
  readonly names: readonly [string, string];
};

/** Both totals, what makes the difference, and the kinds of cost side by side. */
export function Difference({ comparison, currency, names }: Props) {
  const { from, to, difference, causes, kinds } = comparison;
  const say = (amount: string) => formatMoney(amount, currency);
  return (
    <View className="gap-3">
      <Row name={names[0]} amount={say(from)} />
      {causes.map(({ cause, amount, least, most }) => (
        <Row
          key={cause}
          name={CAUSE_WORDS[cause].name}
          under={
            least === most
              ? CAUSE_WORDS[cause].under
              : `${CAUSE_WORDS[cause].under}; told in another order ${formatChange(least, currency)} to ${formatChange(most, currency)}`
          }
          amount={formatChange(amount, currency)}
        />
      ))}
      <Row name={names[1]} amount={say(to)} strong />
      <Body role="status">
        {Number(difference) === 0 ? "Both come to the same." : `${formatChange(difference, currency)} in all.`}
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

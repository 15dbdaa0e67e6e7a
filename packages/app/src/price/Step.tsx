import type { ReactNode } from "react";
import { View } from "react-native";
import { Body, Faint, Figure, Strong } from "../components/Text";

type Props = {
  readonly name: string;
  readonly amount: string;
  /** What it is of, or how it came about. */
  readonly under?: string;
  readonly field?: ReactNode;
  readonly strong?: boolean;
  readonly testID?: string;
};

/** One line of a column that adds up. */
export function Step({ name, amount, under, field, strong = false, testID }: Props) {
  return (
    <View
      testID={testID}
      className={`min-h-12 flex-row items-center gap-3 py-1 ${strong ? "border-t-2 border-ink" : "border-b border-rule"}`}
    >
      <View className="min-w-0 flex-1">
        {strong ? <Strong>{name}</Strong> : <Body>{name}</Body>}
        {under ? <Faint>{under}</Faint> : null}
      </View>
      {field}
      <Figure className="min-w-28 text-right">{amount}</Figure>
    </View>
  );
}

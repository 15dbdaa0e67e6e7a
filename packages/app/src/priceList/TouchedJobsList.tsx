import { formatChange, formatMoney, lessMoney, type PriceItem, soMany } from "@wide-porch/core";
import { View } from "react-native";
import type { PriceRecord } from "../api/records";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Warning } from "../components/Text";
import { useTouchedJobs } from "./useTouchedJobs";

type Props = { readonly items: readonly PriceItem[]; readonly newest: readonly PriceRecord[] };

/** Which open jobs a change of prices touches and by how much, before it is taken. */
export function TouchedJobsList({ items, newest }: Props) {
  const { state, look } = useTouchedJobs(newest);
  const going = state !== undefined && state.failure === undefined && (state.of === 0 || state.done < state.of);
  return (
    <View className="gap-2">
      <Button
        label="Which open jobs it touches"
        kind="plain"
        disabled={items.length === 0 || (going && state.of > 0)}
        onPress={() => void look(items)}
      />
      {state ? (
        <Faint role="status">
          {state.done < state.of
            ? `${state.done} of ${state.of} jobs looked at`
            : `${state.jobs.length} of ${state.of} open jobs need what changes${state.more > 0 ? `; ${state.more} more were not looked at` : ""}`}
        </Faint>
      ) : null}
      {state?.failure ? <Warning role="alert">{state.failure}</Warning> : null}
      {state?.jobs.map(({ id, title, keeps, codes, before, after, currency }) => (
        <View key={id} className="border-b border-rule py-1">
          <Strong>{title}</Strong>
          <Body className="figures">{moved(before, after, currency)}</Body>
          <Faint>
            {`${soMany(codes.length, "item", "items")}; ${keeps ? "it keeps its prices until they are refreshed" : "it follows the price list"}`}
          </Faint>
        </View>
      ))}
    </View>
  );
}

function moved(before: string, after: string, currency: string): string {
  const by = lessMoney(after, before);
  if (Number(by) === 0) return `${formatMoney(before, currency)}, as it was`;
  return `${formatMoney(before, currency)} → ${formatMoney(after, currency)}, ${formatChange(by, currency)}`;
}

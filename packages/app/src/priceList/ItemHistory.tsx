import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { priceHistorySchema } from "../api/records";
import { Body, Faint, Title, Warning } from "../components/Text";
import { pricesOf } from "./pricesOf";

/** What an item's prices were, newest first. */
export function ItemHistory({ code }: { readonly code: string }) {
  const path = `/price-list/${encodeURIComponent(code)}/history`;
  const history = useSWR(path, (at: string) => ask(priceHistorySchema, "GET", at));
  return (
    <View className="gap-1">
      <Title level={3}>Its prices until now</Title>
      {history.error ? (
        <Warning>{history.error instanceof Error ? history.error.message : String(history.error)}</Warning>
      ) : null}
      {history.data?.items.length === 0 ? <Faint>Nobody has changed it yet.</Faint> : null}
      {history.data?.items.map(({ revision, at, by, item }) => (
        <View key={revision} className="border-b border-rule py-1">
          <Body className="figures">
            {pricesOf(item)
              .map(({ label, price }) => `${label} ${price ?? "no price"}`)
              .join(", ")}
          </Body>
          <Faint>
            {[by === "" ? "before that" : `${by}, ${at.slice(0, 10)}`, item.retired ? "retired" : ""]
              .filter(Boolean)
              .join(", ")}
          </Faint>
        </View>
      ))}
    </View>
  );
}

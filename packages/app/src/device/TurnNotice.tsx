import { useSyncExternalStore } from "react";
import { View } from "react-native";
import { subscribeToTurn, turnText } from "../api/turn";
import { Body } from "../components/Text";

/** The server has much to do: what waits is asked again by itself, and nothing is lost. */
export function TurnNotice() {
  const text = useSyncExternalStore(subscribeToTurn, turnText, turnText);
  if (text === undefined) return null;
  return (
    <View role="status" className="border-b border-clay bg-clay-wash px-4 py-2">
      <Body>{`${text.replace(/Try again/, "It is asked again")} What you entered is kept.`}</Body>
    </View>
  );
}

import { View } from "react-native";
import { Faint } from "../components/Text";
import { Check, CircleAlert, RefreshCw, Smartphone } from "../icons";
import { type SyncState, syncState } from "../sync/outbox";
import { useTokens } from "../theme/useTokens";
import { useOutbox } from "./JobContext";

const MARKS: Record<SyncState, { icon: typeof Check; words: string }> = {
  saved: { icon: Check, words: "Saved" },
  sending: { icon: RefreshCw, words: "Saving" },
  "on-device": { icon: Smartphone, words: "On this device" },
  "needs-you": { icon: CircleAlert, words: "Needs you" },
};

/** Where the latest entry is. Never says saved before the server has. */
export function SyncMark() {
  const { colour } = useTokens();
  const { icon: Icon, words } = MARKS[syncState(useOutbox())];
  return (
    <View role="status" aria-label={`Entries: ${words}`} className="flex-row items-center gap-1">
      <Icon size={16} color={colour("faint")} aria-hidden />
      <Faint>{words}</Faint>
    </View>
  );
}

import { ActivityIndicator, View } from "react-native";
import { NoAnswer } from "../api/client";
import { useTokens } from "../theme/useTokens";
import { Button } from "./Button";
import { Notice } from "./Notice";
import { Body, Faint } from "./Text";

export function Waiting({ what }: { what: string }) {
  const { colour } = useTokens();
  return (
    <View className="flex-1 items-center justify-center gap-3 p-8">
      <ActivityIndicator color={colour("pine")} aria-label={`Loading ${what}`} />
      <Faint>Fetching {what}</Faint>
    </View>
  );
}

/** What happened, what was kept and what to do. */
export function Failure({ error, what, retry }: { error: unknown; what: string; retry: () => void }) {
  const message = error instanceof Error ? error.message : String(error);
  return (
    <View className="p-4">
      <Notice title={error instanceof NoAnswer ? "No signal" : `Could not fetch ${what}`} live>
        <Body>{message}</Body>
        <Button label="Try again" kind="plain" onPress={retry} />
      </Notice>
    </View>
  );
}

/** Either the wait or the failure, for what SWR has not got yet. */
export function Pending({ error, what, retry }: { error: unknown; what: string; retry: () => void }) {
  return error ? <Failure error={error} what={what} retry={retry} /> : <Waiting what={what} />;
}

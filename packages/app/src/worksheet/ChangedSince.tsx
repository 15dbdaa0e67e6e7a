import { soMany, sumMoney } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint } from "../components/Text";
import type { Mark, Seen } from "./lookedAt";

type Props = {
  readonly marks: ReadonlyMap<string, Mark>;
  readonly gone: readonly Seen[];
  readonly only: boolean;
  readonly onOnly: (only: boolean) => void;
  readonly onLookAtAll: () => void;
};

/** How many lines changed since somebody looked, and the way to see them alone. */
export function ChangedSince({ marks, gone, only, onOnly, onLookAtAll }: Props) {
  if (marks.size === 0 && gone.length === 0) return null;
  const words = [
    marks.size > 0 ? `${soMany(marks.size, "line", "lines")} changed or new` : "",
    gone.length > 0 ? `${gone.length} gone, which cost ${sumMoney(gone.map(({ cost }) => cost))}` : "",
  ].filter(Boolean);
  return (
    <View className="flex-row flex-wrap items-center gap-2">
      <Faint role="status" className="figures text-clay">{`Since you last looked: ${words.join("; ")}.`}</Faint>
      {marks.size > 0 ? (
        <Button label={only ? "All lines" : "These alone"} kind="quiet" onPress={() => onOnly(!only)} />
      ) : null}
      <Button label="Looked at" name="All are looked at" kind="quiet" onPress={onLookAtAll} />
    </View>
  );
}

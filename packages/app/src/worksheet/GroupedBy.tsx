import { LEDGER_KEYS, type LedgerKey } from "@wide-porch/core";
import { Pressable, View } from "react-native";
import { IconButton } from "../components/Button";
import { Picker } from "../components/Picker";
import { Faint, Strong } from "../components/Text";
import { ChevronLeft, X } from "../icons";
import { COLUMN_WORDS } from "./words";

type Props = { readonly keys: readonly LedgerKey[]; readonly onChange: (keys: LedgerKey[]) => void };

/** By what lines are grouped, the outermost first: each can go further out or be taken away, and others put under the last. */
export function GroupedBy({ keys, onChange }: Props) {
  const outwards = (index: number) => {
    const next = [...keys];
    const [moved] = next.splice(index, 1);
    if (moved) next.splice(index - 1, 0, moved);
    onChange(next);
  };
  const left = LEDGER_KEYS.filter((key) => !keys.includes(key));
  return (
    <View role="group" aria-label="Grouped by" className="flex-row flex-wrap items-center gap-2">
      <Faint>Grouped by</Faint>
      {keys.map((key, index) => (
        <View key={key} className="flex-row items-center rounded-md border border-pine bg-pine-wash pl-1">
          {index > 0 ? (
            <IconButton
              name={`Group by ${COLUMN_WORDS[key]} further out`}
              icon={ChevronLeft}
              onPress={() => outwards(index)}
            />
          ) : null}
          <Strong className="px-2">{COLUMN_WORDS[key]}</Strong>
          <IconButton
            name={`Do not group by ${COLUMN_WORDS[key]}`}
            icon={X}
            onPress={() => onChange(keys.filter((each) => each !== key))}
          />
        </View>
      ))}
      {keys.length < 4 ? (
        <View className="w-48">
          <Picker
            label="Then by"
            value=""
            options={[
              { value: "", label: keys.length === 0 ? "Nothing: one list" : "Nothing further" },
              ...left.map((key) => ({ value: key, label: COLUMN_WORDS[key] })),
            ]}
            onChange={(value) => {
              const key = left.find((each) => each === value);
              if (key) onChange([...keys, key]);
            }}
          />
        </View>
      ) : null}
      {keys.length > 0 ? (
        <Pressable role="button" onPress={() => onChange([])} className="min-h-12 justify-center px-2">
          <Strong className="text-pine underline">One list</Strong>
        </Pressable>
      ) : null}
    </View>
  );
}

import type { Assembly } from "@wide-porch/core";
import { View } from "react-native";
import { Button, IconButton } from "../../components/Button";
import { Faint, Title } from "../../components/Text";
import { TextField } from "../../components/TextField";
import { Plus, Trash2 } from "../../icons";

type Props = { readonly assembly: Assembly; readonly onChange: (assembly: Assembly) => void };

/** What the quote says: sentences with values in braces, each where its condition holds. */
export function Wording({ assembly, onChange }: Props) {
  const { wording } = assembly;
  const put = (next: Assembly["wording"]) => onChange({ ...assembly, wording: next });
  return (
    <View className="gap-3">
      <Title level={2}>Wording of the quote</Title>
      <Faint>{"Names in braces are replaced by their values: {length}, {name}."}</Faint>
      {wording.map((sentence, index) => {
        const set = (change: Partial<(typeof wording)[number]>) =>
          put(wording.map((each, at) => (at === index ? { ...each, ...change } : each)));
        return (
          <View
            // biome-ignore lint/suspicious/noArrayIndexKey: sentences have no id; they are added at the end or taken out
            key={index}
            className="flex-row items-end gap-2 border-b border-rule pb-3"
          >
            <View className="min-w-0 flex-1 gap-2">
              <TextField
                label={`Sentence ${index + 1}`}
                value={sentence.text}
                multiline
                onChangeText={(text) => set({ text })}
              />
              <TextField
                label={`Said when (sentence ${index + 1})`}
                value={sentence.when ?? ""}
                autoCapitalize="none"
                onChangeText={(when) => set({ when: when.trim() === "" ? undefined : when })}
              />
            </View>
            <IconButton
              name={`Take sentence ${index + 1} out`}
              icon={Trash2}
              onPress={() => put(wording.filter((_, at) => at !== index))}
            />
          </View>
        );
      })}
      <Button label="Add a sentence" kind="plain" icon={Plus} onPress={() => put([...wording, { text: "" }])} />
    </View>
  );
}

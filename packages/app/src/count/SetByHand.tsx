import { type CountLine, type Part, quantityText } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { useJob } from "../job/JobContext";

const numberIn = (text: string): number | undefined => {
  const value = Number(text.replace(",", "."));
  return text.trim() !== "" && Number.isFinite(value) && value >= 0 && value <= 1_000_000 ? value : undefined;
};

/** What is set by hand on the other lines of the part. */
const others = (part: Part, line: CountLine) => part.handSet.filter((each) => each.line !== line.key);

/** A count can be set by hand with a reason. What was computed stays beside it, and it can be given back. */
export function SetByHand({ line }: { readonly line: CountLine }) {
  const { changePart, record } = useJob("changePart", "record");
  const [open, setOpen] = useState(false);
  const { system } = record.job;
  if (line.byHand !== undefined) {
    return (
      <View className="gap-2 rounded-md border border-clay bg-clay-wash p-3">
        <Title level={3}>Set by hand</Title>
        <Body>{`${quantityText(line.quantity, line.unit, system)}: ${line.byHand}`}</Body>
        <Strong>{`Computed: ${quantityText(line.computed, line.unit, system)}`}</Strong>
        <View className="flex-row flex-wrap gap-2">
          <Button
            label="Give back the computed count"
            kind="plain"
            onPress={() => changePart(line.partId, (part) => ({ ...part, handSet: others(part, line) }))}
          />
          <Button label="Change" kind="quiet" name="Change the count set by hand" onPress={() => setOpen(true)} />
        </View>
        {open ? <Form line={line} onDone={() => setOpen(false)} /> : null}
      </View>
    );
  }
  return (
    <View className="gap-2">
      {open ? (
        <Form line={line} onDone={() => setOpen(false)} />
      ) : (
        <Button label="Set by hand" kind="plain" onPress={() => setOpen(true)} />
      )}
    </View>
  );
}

function Form({ line, onDone }: { readonly line: CountLine; readonly onDone: () => void }) {
  const { changePart } = useJob("changePart");
  const [typed, setTyped] = useState(String(Number(line.quantity.toFixed(3))));
  const [reason, setReason] = useState(line.byHand ?? "");
  const [tried, setTried] = useState(false);
  const quantity = numberIn(typed);
  const save = () => {
    setTried(true);
    if (quantity === undefined || reason.trim() === "") return;
    const set = { line: line.key, quantity, reason: reason.trim().slice(0, 400) };
    changePart(line.partId, (part) => ({ ...part, handSet: [...others(part, line), set] }));
    onDone();
  };
  return (
    <View role="form" aria-label="Set by hand" className="gap-3">
      <TextField
        label="Count"
        value={typed}
        onChangeText={setTyped}
        inputMode="decimal"
        suffix={line.unit}
        problem={tried && quantity === undefined ? "A number, 0 or more." : undefined}
      />
      <TextField
        label="Why"
        value={reason}
        onChangeText={setReason}
        onSubmitEditing={save}
        problem={tried && reason.trim() === "" ? "Say why, for whoever reads it later." : undefined}
      />
      <Faint>The computed count goes on being worked out beside it.</Faint>
      <View className="flex-row gap-2">
        <Button label="Set it" onPress={save} />
        <Button label="Leave it" kind="quiet" onPress={onDone} />
      </View>
    </View>
  );
}

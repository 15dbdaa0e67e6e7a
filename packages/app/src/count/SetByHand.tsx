import { zodResolver } from "@hookform/resolvers/zod";
import { type CountLine, type Part, quantityText } from "@wide-porch/core";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import { Button } from "../components/Button";
import { FormEntry } from "../components/FormEntry";
import { Body, Faint, Strong, Title } from "../components/Text";
import { useJob } from "../job/JobContext";

/** A count as it is typed, with a point or a comma, and the reason that whoever reads it later finds. */
const formSchema = z.object({
  count: z.string().transform((text, context) => {
    const value = Number(text.replace(",", "."));
    if (text.trim() !== "" && value >= 0 && value <= 1_000_000) return value;
    context.addIssue({ code: "custom", message: "A number, 0 or more." });
    return z.NEVER;
  }),
  reason: z.string().trim().min(1, "Say why, for whoever reads it later.").max(400, "At most 400 letters."),
});

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
  const { control, handleSubmit } = useForm<z.input<typeof formSchema>, unknown, z.output<typeof formSchema>>({
    resolver: zodResolver(formSchema),
    defaultValues: { count: String(Number(line.quantity.toFixed(3))), reason: line.byHand ?? "" },
  });
  const save = () =>
    void handleSubmit(({ count, reason }) => {
      const set = { line: line.key, quantity: count, reason };
      changePart(line.partId, (part) => ({ ...part, handSet: [...others(part, line), set] }));
      onDone();
    })();
  return (
    <View role="form" aria-label="Set by hand" className="gap-3">
      <FormEntry control={control} name="count" label="Count" figure suffix={line.unit} onEnter={save} />
      <FormEntry control={control} name="reason" label="Why" onEnter={save} />
      <Faint>The computed count goes on being worked out beside it.</Faint>
      <View className="flex-row gap-2">
        <Button label="Set it" onPress={save} />
        <Button label="Leave it" kind="quiet" onPress={onDone} />
      </View>
    </View>
  );
}

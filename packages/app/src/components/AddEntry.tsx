import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import type { LucideIcon } from "../icons";
import { Button } from "./Button";
import { FormEntry } from "./FormEntry";

type Props = {
  readonly label: string;
  readonly button: string;
  readonly icon?: LucideIcon;
  readonly most: number;
  /** Said where nothing was typed. */
  readonly empty: string;
  /** What is wrong with it; undefined for nothing. */
  readonly check?: (text: string) => string | undefined;
  readonly onAdd: (text: string) => void;
};

/** One text and the button that puts it in; the field is empty again for the next. */
export function AddEntry({ label, button, icon, most, empty, check, onAdd }: Props) {
  const schema = z.object({
    text: z
      .string()
      .trim()
      .min(1, empty)
      .max(most, `At most ${most} letters.`)
      .superRefine((text, context) => {
        const problem = check?.(text);
        if (problem) context.addIssue({ code: "custom", message: problem });
      }),
  });
  const { control, handleSubmit, reset } = useForm({ resolver: zodResolver(schema), defaultValues: { text: "" } });
  const add = () =>
    void handleSubmit(({ text }) => {
      reset();
      onAdd(text);
    })();
  return (
    <View className="gap-2">
      <FormEntry control={control} name="text" label={label} onEnter={add} />
      <Button label={button} kind="plain" {...(icon ? { icon } : {})} onPress={add} />
    </View>
  );
}

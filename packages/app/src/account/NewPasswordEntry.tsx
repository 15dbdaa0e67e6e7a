import { useState } from "react";
import type { Control, FieldPath, FieldValues } from "react-hook-form";
import { View } from "react-native";
import { CheckRow } from "../components/CheckRow";
import { FormEntry } from "../components/FormEntry";
import { Faint } from "../components/Text";

/** As the server asks for it. */
export const FEWEST_CHARACTERS = 15;

type Props<F extends FieldValues> = {
  readonly control: Control<F>;
  readonly name: FieldPath<F>;
  readonly label: string;
  readonly onEnter: () => void;
};

/** A password that is chosen: it can be looked at while it is typed. */
export function NewPasswordEntry<F extends FieldValues>({ control, name, label, onEnter }: Props<F>) {
  const [shown, setShown] = useState(false);
  return (
    <View className="gap-1">
      <FormEntry
        control={control}
        name={name}
        label={label}
        onEnter={onEnter}
        more={{ secureTextEntry: !shown, autoComplete: "new-password", autoCapitalize: "none" }}
      />
      <Faint>{`${FEWEST_CHARACTERS} characters or more: a few words that nobody would put together.`}</Faint>
      <CheckRow label="Show the password" checked={shown} onTurn={() => setShown(!shown)} />
    </View>
  );
}

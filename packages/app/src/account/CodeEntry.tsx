import type { Control, FieldPath, FieldValues } from "react-hook-form";
import { View } from "react-native";
import { FormEntry } from "../components/FormEntry";
import { Faint } from "../components/Text";

type Props<F extends FieldValues> = {
  readonly control: Control<F>;
  readonly name: FieldPath<F>;
  readonly onEnter: () => void;
  /** There are no recovery codes yet. */
  readonly first?: boolean;
};

/** The second step: what the authenticator on the phone shows now. */
export const CodeEntry = <F extends FieldValues>({ control, name, onEnter, first = false }: Props<F>) => (
  <View className="gap-1">
    <FormEntry
      control={control}
      name={name}
      label="Code"
      onEnter={onEnter}
      more={{ autoComplete: "one-time-code", autoCapitalize: "none" }}
    />
    <Faint>{`Six digits that your authenticator shows now${first ? "." : ", or one of your recovery codes."}`}</Faint>
  </View>
);

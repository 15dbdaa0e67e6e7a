import { type Control, Controller, type FieldPath, type FieldValues } from "react-hook-form";
import type { TextInputProps } from "react-native";
import { TextField } from "./TextField";

type Props<F extends FieldValues, Read> = {
  readonly control: Control<F, unknown, Read>;
  readonly name: FieldPath<F>;
  readonly label: string;
  readonly figure?: boolean;
  readonly suffix?: string;
  readonly boxClassName?: string;
  readonly onEnter?: () => void;
  /** What the device's keyboard and its store of passwords are told of it. */
  readonly more?: Pick<
    TextInputProps,
    "secureTextEntry" | "autoComplete" | "autoCapitalize" | "inputMode" | "maxLength"
  >;
};

/** A text field that is bound to a form: what is wrong with it stands beneath it. */
export const FormEntry = <F extends FieldValues, Read = F>({
  control,
  name,
  label,
  figure = false,
  suffix,
  boxClassName,
  onEnter,
  more = {},
}: Props<F, Read>) => (
  <Controller
    control={control}
    name={name}
    render={({ field, fieldState }) => (
      <TextField
        label={label}
        value={String(field.value ?? "")}
        onChangeText={field.onChange}
        onBlur={field.onBlur}
        inputMode={figure ? "decimal" : "text"}
        {...more}
        problem={fieldState.error?.message}
        {...(suffix ? { suffix } : {})}
        {...(boxClassName ? { boxClassName } : {})}
        {...(onEnter ? { onSubmitEditing: onEnter } : {})}
      />
    )}
  />
);

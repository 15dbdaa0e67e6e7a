import { type Control, Controller, type FieldPath, type FieldValues } from "react-hook-form";
import { Choice } from "./Choice";

type Props<F extends FieldValues, Read> = {
  readonly control: Control<F, unknown, Read>;
  readonly name: FieldPath<F>;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
};

/** A choice that is bound to a form. */
export const FormChoice = <F extends FieldValues, Read = F>({ control, name, label, options }: Props<F, Read>) => (
  <Controller
    control={control}
    name={name}
    render={({ field }) => (
      <Choice label={label} options={options} value={String(field.value)} onChange={field.onChange} />
    )}
  />
);

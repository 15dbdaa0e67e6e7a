import { zodResolver } from "@hookform/resolvers/zod";
import { type Extra, extraSchema } from "@wide-porch/core";
import { type Control, Controller, useForm } from "react-hook-form";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { TextField } from "../components/TextField";
import { Plus } from "../icons";
import { newId } from "../sync/newId";
import { KIND_OPTIONS } from "./kindWords";
import { useChangePricing } from "./useChangePricing";

const formSchema = extraSchema.omit({ id: true });
type Form = Omit<Extra, "id">;
const EMPTY: Form = {
  kind: "material",
  description: "",
  section: "",
  quantity: "1",
  unit: "",
  cost: "",
  minutes: "0",
  trade: "",
};

const FIELDS: readonly {
  readonly name: Exclude<keyof Form, "kind">;
  readonly label: string;
  readonly figure: boolean;
  readonly width: string;
}[] = [
  { name: "description", label: "What is it?", figure: false, width: "min-w-48 flex-[3]" },
  { name: "quantity", label: "How many", figure: true, width: "w-24" },
  { name: "unit", label: "Of what", figure: false, width: "w-24" },
  { name: "cost", label: "Cost of one", figure: true, width: "w-28" },
  { name: "minutes", label: "Minutes to fit one", figure: true, width: "w-36" },
  { name: "section", label: "Section", figure: false, width: "min-w-32 flex-1" },
  { name: "trade", label: "Trade", figure: false, width: "min-w-32 flex-1" },
];

/** A cost in one row: what, how many, what each costs and takes to fit. The next one starts in the same section. */
export function TypedLine() {
  const change = useChangePricing();
  const { control, handleSubmit, reset } = useForm<Form>({ resolver: zodResolver(formSchema), defaultValues: EMPTY });
  const add = handleSubmit((form) => {
    const extra: Extra = { id: newId(), ...form, unit: form.unit || (form.quantity === "1" ? "sum" : "piece") };
    change(({ extras }) => ({ extras: [...extras, extra] }));
    reset({ ...EMPTY, kind: form.kind, section: form.section, trade: form.trade });
  });
  return (
    <View className="gap-3">
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choice label="Kind of cost" value={field.value} onChange={field.onChange} options={KIND_OPTIONS} />
        )}
      />
      <View className="flex-row flex-wrap items-start gap-3">
        {FIELDS.map((field) => (
          <View key={field.name} className={field.width}>
            <Entry {...field} control={control} onEnter={() => void add()} />
          </View>
        ))}
      </View>
      <View className="flex-row">
        <Button label="Add this cost" kind="plain" icon={Plus} onPress={() => void add()} />
      </View>
    </View>
  );
}

type EntryProps = (typeof FIELDS)[number] & { readonly control: Control<Form>; readonly onEnter: () => void };

const Entry = ({ name, label, figure, control, onEnter }: EntryProps) => (
  <Controller
    control={control}
    name={name}
    render={({ field, fieldState }) => (
      <TextField
        label={label}
        value={field.value}
        onChangeText={field.onChange}
        inputMode={figure ? "decimal" : "text"}
        problem={fieldState.error?.message}
        onSubmitEditing={onEnter}
      />
    )}
  />
);

import { zodResolver } from "@hookform/resolvers/zod";
import { type Extra, extraSchema, newExtra } from "@wide-porch/core";
import { Controller, useForm } from "react-hook-form";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { FormEntry } from "../components/FormEntry";
import { Plus } from "../icons";
import { newId } from "../sync/newId";
import { KIND_OPTIONS } from "./kindWords";
import { useChangePricing } from "./useChangePricing";

const formSchema = extraSchema.omit({ id: true, tax: true, measuredBy: true });
type Form = Omit<Extra, "id" | "tax" | "measuredBy">;
const EMPTY: Form = { ...newExtra("", "material", "", ""), unit: "" };

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
/** Asked of what somebody else does for a sum. */
const SUBCONTRACT: typeof FIELDS = [
  { name: "covers", label: "What it covers, as the customer reads it", figure: false, width: "min-w-48 flex-[2]" },
  { name: "quotedBy", label: "Who quoted it", figure: false, width: "min-w-32 flex-1" },
];

/** A cost in one row: what, how many, what each costs and takes to fit. The next one starts in the same section. */
export function TypedLine() {
  const change = useChangePricing();
  const { control, handleSubmit, reset, watch } = useForm<Form>({
    resolver: zodResolver(formSchema),
    defaultValues: EMPTY,
  });
  const add = handleSubmit((form) => {
    const extra: Extra = {
      ...newExtra(newId(), form.kind, "", "0"),
      ...form,
      unit: form.unit || (form.quantity === "1" ? "sum" : "piece"),
    };
    change(({ extras }) => ({ extras: [...extras, extra] }));
    reset({ ...EMPTY, kind: form.kind, section: form.section, trade: form.trade });
  });
  const fields = watch("kind") === "subcontract" ? [...FIELDS, ...SUBCONTRACT] : FIELDS;
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
        {fields.map((field) => (
          <View key={field.name} className={field.width}>
            <FormEntry
              control={control}
              name={field.name}
              label={field.label}
              figure={field.figure}
              onEnter={() => void add()}
            />
          </View>
        ))}
      </View>
      <View className="flex-row">
        <Button label="Add this cost" kind="plain" icon={Plus} onPress={() => void add()} />
      </View>
    </View>
  );
}

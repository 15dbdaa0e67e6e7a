import { zodResolver } from "@hookform/resolvers/zod";
import { type Extra, extraSchema, formatMoney, type Pricing } from "@wide-porch/core";
import { Controller, useForm } from "react-hook-form";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { Body, Faint, Figure, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { KIND_OPTIONS, KIND_WORDS } from "./kindWords";
import { useChangePricing } from "./useChangePricing";

const formSchema = extraSchema.omit({ id: true });
type Form = Omit<Extra, "id">;
const EMPTY: Form = { kind: "plant", description: "", cost: "" };

/** Costs typed in beside what is counted: hire, subcontract sums, anything else. */
export function Extras({ pricing }: { pricing: Pricing }) {
  const { record } = useJob("record");
  const change = useChangePricing();
  const { control, handleSubmit, reset } = useForm<Form>({ resolver: zodResolver(formSchema), defaultValues: EMPTY });
  const add = handleSubmit((form) => {
    change(({ extras }) => ({ extras: [...extras, { id: newId(), ...form }] }));
    reset(EMPTY);
  });
  return (
    <View className="gap-3">
      <Title level={2}>Other costs</Title>
      {pricing.extras.length === 0 ? (
        <Faint>Plant, subcontract sums and anything else that is not counted.</Faint>
      ) : null}
      {pricing.extras.map((extra) => (
        <View key={extra.id} className="flex-row items-center gap-2 border-b border-rule">
          <View className="min-w-0 flex-1">
            <Body>{extra.description}</Body>
            <Faint>{KIND_WORDS[extra.kind]}</Faint>
          </View>
          <Figure>{formatMoney(extra.cost, record.job.currency)}</Figure>
          <IconButton
            name={`Take out ${extra.description}`}
            icon={Trash2}
            onPress={() => change(({ extras }) => ({ extras: extras.filter((each) => each.id !== extra.id) }))}
          />
        </View>
      ))}
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choice label="Kind of cost" value={field.value} onChange={field.onChange} options={KIND_OPTIONS} />
        )}
      />
      <Controller
        control={control}
        name="description"
        render={({ field, fieldState }) => (
          <TextField
            label="What is it?"
            value={field.value}
            onChangeText={field.onChange}
            problem={fieldState.error ? "Say what it is." : undefined}
          />
        )}
      />
      <Controller
        control={control}
        name="cost"
        render={({ field, fieldState }) => (
          <TextField
            label="Cost"
            value={field.value}
            onChangeText={field.onChange}
            inputMode="decimal"
            problem={fieldState.error?.message}
            onSubmitEditing={() => void add()}
          />
        )}
      />
      <Button label="Add this cost" kind="plain" onPress={() => void add()} />
    </View>
  );
}

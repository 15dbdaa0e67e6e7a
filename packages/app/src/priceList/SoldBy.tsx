import { type Control, Controller } from "react-hook-form";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { FormChoice } from "../components/FormChoice";
import { FormEntry } from "../components/FormEntry";
import { Faint, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { Plus, Trash2 } from "../icons";
import type { Draft, Sold } from "./itemDraft";

const WAYS: readonly { readonly value: Sold; readonly label: string }[] = [
  { value: "each", label: "One by one" },
  { value: "pack", label: "By the pack" },
  { value: "cover", label: "By what it covers" },
  { value: "length", label: "By the length" },
];
const HOLDS: Readonly<Record<string, string>> = {
  pack: "How many to a pack",
  cover: "What one covers: m², m, m³ or kg, as it is counted",
};

type Props = { readonly control: Control<Draft>; readonly by: Sold };

/** What it is counted in and what it is bought in, and what that costs. */
export function SoldBy({ control, by }: Props) {
  return (
    <View className="gap-3">
      <FormChoice control={control} name="by" label="Sold" options={WAYS} />
      {by === "pack" || by === "cover" ? (
        <>
          <FormEntry control={control} name="holds" label={HOLDS[by] ?? ""} figure />
          <FormEntry control={control} name="packName" label="What it is called: a box, a roll, a bag" />
        </>
      ) : null}
      {by === "length" ? (
        <Controller
          control={control}
          name="stock"
          render={({ field, fieldState }) => (
            <Stock stock={field.value} problem={fieldState.error?.message} onChange={field.onChange} />
          )}
        />
      ) : (
        <FormEntry control={control} name="price" label="Price" figure />
      )}
    </View>
  );
}

type StockProps = {
  readonly stock: Draft["stock"];
  readonly problem: string | undefined;
  readonly onChange: (stock: Draft["stock"]) => void;
};

function Stock({ stock, problem, onChange }: StockProps) {
  const set = (id: number, changed: Partial<Draft["stock"][number]>) =>
    onChange(stock.map((each) => (each.id === id ? { ...each, ...changed } : each)));
  const nextId = Math.max(0, ...stock.map(({ id }) => id)) + 1;
  return (
    <View className="gap-2">
      <Faint>Stock lengths, each with its price</Faint>
      {stock.map(({ id, length, price }, index) => (
        <View key={id} className="flex-row items-end gap-2">
          <View className="flex-1">
            <TextField
              label={`Length ${index + 1}`}
              value={length}
              onChangeText={(text) => set(id, { length: text })}
            />
          </View>
          <View className="flex-1">
            <TextField
              label={`Price of length ${index + 1}`}
              value={price}
              onChangeText={(text) => set(id, { price: text })}
              inputMode="decimal"
            />
          </View>
          <IconButton
            name={`Take out length ${index + 1}`}
            icon={Trash2}
            disabled={stock.length === 1}
            onPress={() => onChange(stock.filter((each) => each.id !== id))}
          />
        </View>
      ))}
      {problem ? <Warning role="alert">{problem}</Warning> : null}
      <View className="flex-row">
        <Button
          label="Another length"
          kind="plain"
          icon={Plus}
          onPress={() => onChange([...stock, { id: nextId, length: "", price: "" }])}
        />
      </View>
    </View>
  );
}

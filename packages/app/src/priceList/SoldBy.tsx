import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { Plus, Trash2 } from "../icons";
import type { Draft, Sold, Wrong } from "./itemDraft";

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

type Props = { readonly draft: Draft; readonly wrong: Wrong; readonly onChange: (changed: Partial<Draft>) => void };

/** What it is counted in and what it is bought in, and what that costs. */
export function SoldBy({ draft, wrong, onChange }: Props) {
  const { by, stock } = draft;
  return (
    <View className="gap-3">
      <Choice label="Sold" options={WAYS} value={by} onChange={(next) => onChange({ by: next })} />
      {by === "pack" || by === "cover" ? (
        <>
          <TextField
            label={HOLDS[by] ?? ""}
            value={draft.holds}
            onChangeText={(holds) => onChange({ holds })}
            inputMode="decimal"
            problem={wrong.holds}
          />
          <TextField
            label="What it is called: a box, a roll, a bag"
            value={draft.packName}
            onChangeText={(packName) => onChange({ packName })}
            problem={wrong.packName}
          />
        </>
      ) : null}
      {by === "length" ? (
        <Stock stock={stock} problem={wrong.stock} onChange={(next) => onChange({ stock: next })} />
      ) : (
        <TextField
          label="Price"
          value={draft.price}
          onChangeText={(price) => onChange({ price })}
          inputMode="decimal"
          problem={wrong.price}
        />
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

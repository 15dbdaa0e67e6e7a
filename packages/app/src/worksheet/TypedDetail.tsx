import { type Extra, extraSchema } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { FigureField } from "../measure/FigureField";
import { KIND_OPTIONS } from "../price/kindWords";
import { taxOptions } from "../price/taxWords";
import { useChangePricing } from "../price/useChangePricing";
import { MeasuredBy } from "./MeasuredBy";

const FIGURES = [
  ["quantity", "How many"],
  ["cost", "Cost of one"],
  ["minutes", "Minutes to fit one"],
] as const;
const TEXTS = [
  ["description", "What is it?"],
  ["unit", "Of what"],
  ["section", "Section"],
  ["trade", "Trade"],
] as const;
const OF_SUBCONTRACT = [
  ["covers", "What it covers, as the customer reads it"],
  ["quotedBy", "Who quoted it"],
] as const;

/** What was typed in, changed where it stands. */
export function TypedDetail({ extra }: { readonly extra: Extra }) {
  const change = useChangePricing();
  const { pricing } = useJob("record").record.job;
  const set = (changed: Partial<Extra>) =>
    change(({ extras }) => ({ extras: extras.map((each) => (each.id === extra.id ? { ...each, ...changed } : each)) }));
  const check = (name: keyof Extra) => (text: string) => {
    const read = extraSchema.shape[name].safeParse(text);
    return read.success ? undefined : read.error.issues[0]?.message;
  };
  return (
    <View className="gap-3">
      <Choice label="Kind of cost" options={KIND_OPTIONS} value={extra.kind} onChange={(kind) => set({ kind })} />
      {FIGURES.map(([name, label]) => (
        <FigureField
          key={name}
          measure={name === "cost" ? "money" : "number"}
          label={label}
          value={extra[name]}
          check={check(name)}
          onCommit={(text) => set({ [name]: text })}
        />
      ))}
      {[...TEXTS, ...(extra.kind === "subcontract" ? OF_SUBCONTRACT : [])].map(([name, label]) => (
        <CommitField
          key={name}
          label={label}
          value={extra[name]}
          check={check(name)}
          onCommit={(text) => set({ [name]: text.trim() })}
        />
      ))}
      {pricing ? (
        <Choice
          label="Taxed"
          options={[{ value: "kind" as const, label: "As its kind" }, ...taxOptions(pricing.tax)]}
          value={extra.tax ?? "kind"}
          onChange={(tax) => set({ tax: tax === "kind" ? null : tax })}
        />
      ) : null}
      <MeasuredBy extra={extra} onChange={(measuredBy) => set({ measuredBy })} />
      <Button
        label="Take it out"
        name={`Take out ${extra.description}`}
        kind="plain"
        icon={Trash2}
        onPress={() => change(({ extras }) => ({ extras: extras.filter(({ id }) => id !== extra.id) }))}
      />
    </View>
  );
}

import {
  type AssemblyProblem,
  type AssemblyRule,
  BUYING,
  type CountLine,
  isMeasuredUnit,
  type KnownName,
  type Language,
  type MeasuringSystem,
  quantityText,
} from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Faint, Figure, Strong, Warning } from "../../components/Text";
import { TextField } from "../../components/TextField";
import { Trash2 } from "../../icons";
import { FormulaField } from "./FormulaField";
import { RuleSupply } from "./RuleSupply";

type Props = {
  readonly rule: AssemblyRule;
  readonly index: number;
  readonly names: readonly KnownName[];
  readonly language: Language;
  readonly problems: readonly AssemblyProblem[];
  /** Its lines on the part chosen to try it on; nothing while none is chosen. */
  readonly lines: readonly CountLine[] | undefined;
  readonly system: MeasuringSystem;
  readonly onChange: (rule: AssemblyRule) => void;
  readonly onRemove: () => void;
};

const BUYING_WORDS: Record<(typeof BUYING)[number], string> = {
  cut: "Cut from stock lengths",
  run: "Lengths end to end",
  whole: "By piece, pack or roll",
};

function resultText({ lines, rule, system }: Pick<Props, "lines" | "rule" | "system">): string | undefined {
  if (!lines) return undefined;
  if (rule.item === "" && rule.unit !== "hour") return "a step for others";
  if (lines.length === 0) return "nothing here";
  if (lines.some((line) => line.missing !== undefined)) return "–";
  const sum = lines.reduce((total, line) => total + line.quantity, 0);
  return quantityText(sum, rule.unit, system);
}

/** A rule as a row to read; pressed, as a form to change. */
export function RuleRow(props: Props) {
  const { rule, index, problems, lines, system, onChange, onRemove } = props;
  const [open, setOpen] = useState(rule.label === "");
  const result = resultText(props);
  const missing = lines?.find((line) => line.missing !== undefined)?.missing;
  return (
    <View role="listitem" className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`Rule ${rule.label || index + 1}: ${rule.formula}${result ? ` = ${result}` : ""}`}
        onPress={() => setOpen(!open)}
        className="min-h-14 flex-row items-center justify-between gap-3 py-2 active:bg-pine-wash"
      >
        <View className="min-w-0 flex-1">
          <Strong>{rule.label || "New rule"}</Strong>
          <Faint numberOfLines={open ? undefined : 2}>
            {rule.when ? `${rule.formula}, when ${rule.when}` : rule.formula}
          </Faint>
          {open ? null : problems.map((each) => <Warning key={each.path + each.code}>{each.message}</Warning>)}
          {missing && problems.length === 0 ? <Warning>{missing}</Warning> : null}
        </View>
        <Figure className="text-base">{result ?? ""}</Figure>
      </Pressable>
      {open ? <RuleForm {...props} result={result} onChange={onChange} onRemove={onRemove} system={system} /> : null}
    </View>
  );
}

function RuleForm({
  rule,
  index,
  names,
  language,
  problems,
  result,
  onChange,
  onRemove,
}: Props & { result: string | undefined }) {
  const at = (field: string) => problems.find((each) => each.path === `rules.${index}.${field}`);
  const set = (change: Partial<AssemblyRule>) => onChange({ ...rule, ...change });
  const optional = (text: string): string | undefined => (text.trim() === "" ? undefined : text);
  return (
    <View role="form" aria-label={`Rule ${rule.label || index + 1}`} className="gap-3 pb-4">
      <TextField label="What is counted" value={rule.label} onChangeText={(label) => set({ label })} />
      <FormulaField
        label="Formula"
        value={rule.formula}
        names={names.filter((each) => each.name !== rule.name)}
        language={language}
        problem={at("formula")}
        result={result}
        onChange={(formula) => set({ formula })}
      />
      <FormulaField
        label="Only when"
        value={rule.when ?? ""}
        names={names.filter((each) => each.name !== rule.name)}
        language={language}
        problem={at("when")}
        result={undefined}
        onChange={(when) => set({ when: optional(when) })}
      />
      <View className="flex-row flex-wrap gap-3">
        <TextField
          label="Counted in"
          value={rule.unit}
          onChangeText={(unit) => set({ unit })}
          boxClassName="w-40"
          autoCapitalize="none"
        />
        <TextField
          label="Name for other formulas"
          value={rule.name}
          onChangeText={(name) => set({ name })}
          boxClassName="min-w-48 flex-1"
          autoCapitalize="none"
          problem={at("name")?.message}
        />
      </View>
      <Faint>
        {isMeasuredUnit(rule.unit)
          ? "Measured: length, area, volume, weight or hour."
          : "A word for what is counted, such as piece or nail; or length, area, volume, weight, hour."}
      </Faint>
      <TextField
        label="Item in the price list"
        value={rule.item}
        onChangeText={(item) => set({ item })}
        autoCapitalize="none"
        problem={at("item")?.message}
      />
      <Choice
        label="How it is bought"
        value={rule.buying}
        onChange={(buying) => set({ buying })}
        options={BUYING.map((value) => ({ value, label: BUYING_WORDS[value] }))}
      />
      <RuleSupply
        rule={rule}
        names={names}
        language={language}
        problem={at("supply") ?? at("supply.when")}
        onChange={set}
      />
      <View className="flex-row flex-wrap gap-3">
        <TextField label="Trade" value={rule.trade} onChangeText={(trade) => set({ trade })} boxClassName="w-40" />
        <TextField label="Phase" value={rule.phase} onChangeText={(phase) => set({ phase })} boxClassName="w-40" />
        <TextField
          label="Waste"
          suffix="%"
          inputMode="decimal"
          value={rule.wastePercent === undefined ? "" : String(rule.wastePercent)}
          onChangeText={(text) => set({ wastePercent: percentIn(text) })}
          boxClassName="w-32"
        />
        <TextField
          label="Labour task"
          value={rule.task ?? ""}
          onChangeText={(task) => set({ task: optional(task) })}
          boxClassName="w-40"
          autoCapitalize="none"
        />
      </View>
      <TextField
        label="Belongs to an option, as the customer reads it; empty for none"
        value={rule.option ?? ""}
        onChangeText={(option) => set({ option: optional(option) })}
        problem={at("option")?.message}
      />
      <TextField
        label="Words in the quote"
        value={rule.words ?? ""}
        onChangeText={(words) => set({ words: optional(words) })}
        problem={at("words")?.message}
      />
      <TextField label="Why, in a sentence" value={rule.sentence} onChangeText={(sentence) => set({ sentence })} />
      <TextField
        label="Source"
        value={rule.source ?? ""}
        onChangeText={(source) => set({ source: optional(source) })}
      />
      <Button label="Take this rule out" kind="quiet" icon={Trash2} onPress={onRemove} />
    </View>
  );
}

function percentIn(text: string): number | undefined {
  const value = Number(text.replace(",", "."));
  return text.trim() === "" || Number.isNaN(value) ? undefined : Math.min(100, Math.max(0, value));
}

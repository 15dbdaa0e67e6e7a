import type { AssemblyProblem, AssemblyRule, KnownName, Language, RuleSupply as Supply } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../../components/Choice";
import { Faint, Warning } from "../../components/Text";
import { TextField } from "../../components/TextField";
import { FormulaField } from "./FormulaField";

type Props = {
  readonly rule: AssemblyRule;
  readonly names: readonly KnownName[];
  readonly language: Language;
  readonly problem: AssemblyProblem | undefined;
  readonly onChange: (change: Pick<AssemblyRule, "supply">) => void;
};

const SUPPLIERS = [
  { value: "us", label: "We do" },
  { value: "customer", label: "The customer" },
  { value: "allowance", label: "An allowance" },
] as const;

type Supplier = (typeof SUPPLIERS)[number]["value"];

const ABOUT: Record<Supplier, string> = {
  us: "Bought from the price list.",
  customer: "Counted and fitted, with nothing to buy; the quote says so.",
  allowance: "An amount for each until it is chosen; the quote says so.",
};

const money = (text: string): string => text.replace(",", ".").replace(/[^\d.]/g, "");

/** Who supplies what a rule counts, and when it is not the builder. */
export function RuleSupply({ rule, names, language, problem, onChange }: Props) {
  const { supply } = rule;
  const by: Supplier = supply?.by ?? "us";
  const set = (change: Partial<Supply>) => onChange({ supply: { by: "customer", ...supply, ...change } });
  const choose = (chosen: Supplier) => {
    if (chosen === "us") onChange({ supply: undefined });
    else set({ by: chosen, rate: chosen === "allowance" ? (supply?.rate ?? "0") : undefined });
  };
  return (
    <View className="gap-3">
      <Choice label="Who supplies it" value={by} onChange={choose} options={SUPPLIERS} />
      <Faint>{ABOUT[by]}</Faint>
      {problem?.path.endsWith("supply") ? <Warning>{problem.message}</Warning> : null}
      {supply?.by === "allowance" ? (
        <TextField
          label="Allowed for each as counted"
          inputMode="decimal"
          value={supply.rate ?? ""}
          onChangeText={(text) => set({ rate: money(text) })}
          problem={/^\d{1,7}(\.\d{1,2})?$/.test(supply.rate ?? "") ? undefined : "An amount such as 40 or 39.50."}
          boxClassName="w-56"
        />
      ) : null}
      {supply ? (
        <FormulaField
          label="Supplied so only when"
          value={supply.when ?? ""}
          names={names.filter((each) => each.name !== rule.name)}
          language={language}
          problem={problem?.path.endsWith("when") ? problem : undefined}
          result={undefined}
          onChange={(when) => set({ when: when.trim() === "" ? undefined : when })}
        />
      ) : null}
    </View>
  );
}

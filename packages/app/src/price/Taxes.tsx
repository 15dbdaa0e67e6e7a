import { type CostKind, type Pricing, TAX_CLASSES, type TaxClass } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Body, Faint } from "../components/Text";
import { useJob } from "../job/JobContext";
import { KIND_WORDS, KINDS_IN_ORDER } from "./kindWords";
import { PercentField, taxProblem } from "./PercentField";
import { TAX_WORDS } from "./taxWords";
import { useChangePricing } from "./useChangePricing";

const CLASSES = TAX_CLASSES.map((value) => ({ value, label: TAX_WORDS[value] }));

/** What tax is called, its two rates, what is taxed by which, and how the customer reads it. */
export function Taxes({ pricing }: { readonly pricing: Pricing }) {
  const { reckoning } = useJob("reckoning");
  const change = useChangePricing();
  const { tax } = pricing;
  const set = (changed: Partial<Pricing["tax"]>) => change(({ tax: now }) => ({ tax: { ...now, ...changed } }));
  const setKind = (kind: CostKind, of: TaxClass) =>
    change(({ tax: now }) => ({ tax: { ...now, byKind: { ...now.byKind, [kind]: of } } }));
  const kinds = KINDS_IN_ORDER.filter((kind) =>
    reckoning?.buildUp?.kinds.some((each) => each.kind === kind && each.cost !== "0.00"),
  );
  return (
    <View className="gap-3">
      <CommitField
        label="What the tax is called"
        value={tax.name}
        check={(text) => (text.trim() === "" || text.length > 40 ? "A name of up to 40 letters." : undefined)}
        onCommit={(name) => set({ name: name.trim() })}
      />
      {(["percent", "reducedPercent"] as const).map((name) => (
        <View key={name} className="flex-row items-center gap-3">
          <Body className="flex-1">{name === "percent" ? "Standard rate" : "Reduced rate"}</Body>
          <PercentField
            label={name === "percent" ? "Standard rate" : "Reduced rate"}
            check={taxProblem}
            value={tax[name]}
            onCommit={(text) => set({ [name]: text })}
          />
        </View>
      ))}
      <Faint>Each kind of cost is taxed by one of these; a line of the worksheet can be taxed by another.</Faint>
      {kinds.map((kind) => (
        <Choice
          key={kind}
          label={`Tax on ${KIND_WORDS[kind].toLowerCase()}`}
          options={CLASSES}
          value={tax.byKind[kind]}
          onChange={(of) => setKind(kind, of)}
        />
      ))}
      <Choice
        label="The customer reads prices"
        options={[
          { value: "added", label: "Before tax" },
          { value: "contained", label: "With tax in them" },
        ]}
        value={tax.shown}
        onChange={(shown) => set({ shown })}
      />
    </View>
  );
}

import { type Adjust, type BuildUp, COST_KINDS, type CostKind, formatMoney, type Pricing } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { FigureField } from "../measure/FigureField";
import { KIND_WORDS, KINDS_IN_ORDER } from "./kindWords";
import { amountProblem } from "./LabourRates";
import { shareProblem } from "./PercentField";
import { useChangePricing } from "./useChangePricing";

type Of = Adjust["of"];

const WANTED: readonly { readonly value: Of; readonly label: string }[] = [
  { value: "total", label: "Total to pay" },
  { value: "price", label: "Price before tax" },
  { value: "margin", label: "Margin" },
];

const twoPlaces = (text: string): string => Number(text).toFixed(2);

/** A total, a price or a margin typed in: what it changes is spread over the job, and can be taken back. */
export function TypedPrice({ buildUp, pricing }: { readonly buildUp: BuildUp; readonly pricing: Pricing }) {
  const { record } = useJob("record");
  const change = useChangePricing();
  const { adjust } = pricing;
  const [of, setOf] = useState<Of>(adjust?.of ?? "total");
  const kinds = KINDS_IN_ORDER.filter((kind) =>
    buildUp.kinds.some((each) => each.kind === kind && each.cost !== "0.00"),
  );
  const over = adjust?.over ?? COST_KINDS;
  const single = over.length === 1 ? over[0] : undefined;
  const now: Readonly<Record<Of, string>> = {
    total: buildUp.total,
    price: buildUp.priceBeforeTax,
    margin: buildUp.marginOnPricePercent,
  };
  const say = (amount: string) => formatMoney(amount, record.job.currency);
  const type = (amount: string) => change(() => ({ adjust: { of, amount: twoPlaces(amount), over: [...over] } }));
  const spread = (kind: CostKind | "all") =>
    change(({ adjust: typed }) => ({ adjust: typed && { ...typed, over: kind === "all" ? [...COST_KINDS] : [kind] } }));
  const label = WANTED.find(({ value }) => value === of)?.label ?? "";
  return (
    <View className="gap-3 pt-3">
      <Title level={2}>A price of your own</Title>
      <Faint>Type what it should come to. The difference is spread over the job and shown; it can be taken back.</Faint>
      <Choice label="What is typed" options={WANTED} value={of} onChange={setOf} />
      <FigureField
        measure={of === "margin" ? "percent" : "money"}
        label={`${label} wanted`}
        value={adjust?.of === of ? adjust.amount : now[of]}
        check={of === "margin" ? shareProblem : amountProblem}
        onCommit={type}
        boxClassName="w-40"
        className="text-right"
        {...(of === "margin" ? { suffix: "%" } : {})}
      />
      {adjust && kinds.length > 1 ? (
        <Choice
          label="Spread over"
          options={[
            { value: "all" as const, label: "All of it" },
            ...kinds.map((kind) => ({ value: kind, label: KIND_WORDS[kind] })),
          ]}
          value={single ?? "all"}
          onChange={spread}
        />
      ) : null}
      {buildUp.adjusted?.byKind.map(({ kind, before, difference }) => (
        <Faint key={kind} className="figures">
          {`${KIND_WORDS[kind]}: ${say(before)} with markup, ${say(difference)}`}
        </Faint>
      ))}
      {adjust ? (
        <Button label="Take the typed price back" kind="plain" onPress={() => change(() => ({ adjust: null }))} />
      ) : null}
    </View>
  );
}

import { type BuildUp, COST_KINDS, type CostKind, formatMoney, type Pricing, packWord } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { useState } from "react";
import { Pressable, ScrollView, View } from "react-native";
import { Notice } from "../components/Notice";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { useJob } from "../job/JobContext";
import { useWide } from "../theme/useWide";
import { Extras } from "./Extras";
import { LabourRates } from "./LabourRates";
import { NoCosts } from "./NoCosts";
import { Options } from "./Options";
import { PercentField } from "./PercentField";
import { useChangePricing } from "./useChangePricing";

const KIND_WORDS: Record<CostKind, string> = {
  material: "Materials",
  labour: "Labour",
  plant: "Plant",
  subcontract: "Subcontract",
};

/** From cost to price as one column of figures that adds up. */
export function PriceScreen() {
  const { reckoning, record } = useJob("reckoning", "record");
  const wide = useWide();
  const { pricing } = record.job;
  if (pricing === null) return <NoCosts />;
  const buildUp = reckoning?.buildUp;
  if (!buildUp) return <Waiting what="the price" />;
  return (
    <ScrollView
      className="min-h-0 flex-1"
      contentContainerClassName={`mx-auto w-full gap-6 p-4 pb-10 ${wide ? "max-w-5xl flex-row" : "max-w-xl"}`}
    >
      <View className={wide ? "min-w-0 flex-1" : ""}>
        <Column buildUp={buildUp} pricing={pricing} />
      </View>
      <View className={`gap-6 ${wide ? "w-[380px]" : ""}`}>
        <Options options={buildUp.options ?? []} />
        <LabourRates pricing={pricing} />
        <Extras pricing={pricing} />
        <Link href={"/price-list" as Href}>
          <Strong className="text-pine underline">Open the price list</Strong>
        </Link>
      </View>
    </ScrollView>
  );
}

function Column({ buildUp, pricing }: { buildUp: BuildUp; pricing: Pricing }) {
  const { record } = useJob("record");
  const changeFrom = useChangePricing();
  const say = (amount: string) => formatMoney(amount, record.job.currency);
  const change = (change: Partial<Pricing>) => changeFrom(() => change);
  const setMarkup = (kind: CostKind, percent: string) =>
    changeFrom(({ markupPercent }) => ({ markupPercent: { ...markupPercent, [kind]: percent } }));
  return (
    <View className="gap-1">
      <Profit buildUp={buildUp} />
      {buildUp.problems.length > 0 ? (
        <Notice title="Not all of it has a price">
          {buildUp.problems.map((problem) => (
            <Body key={problem.message}>{problem.message}</Body>
          ))}
        </Notice>
      ) : null}
      <Title level={2} className="pt-3">
        Cost
      </Title>
      {COST_KINDS.map((kind) => (
        <KindLines key={kind} kind={kind} buildUp={buildUp} currency={record.job.currency} />
      ))}
      <Step name="Cost" amount={say(buildUp.cost)} strong />
      <Title level={2} className="pt-3">
        On top
      </Title>
      <Step
        name="Overhead on cost"
        amount={say(buildUp.overhead)}
        field={
          <PercentField
            label="Overhead on cost"
            value={pricing.overheadPercent}
            onCommit={(overheadPercent) => change({ overheadPercent })}
          />
        }
      />
      {buildUp.kinds
        .filter((total) => total.cost !== "0.00")
        .map((total) => (
          <Step
            key={total.kind}
            name={`Markup on ${KIND_WORDS[total.kind].toLowerCase()}`}
            amount={say(total.markup)}
            field={
              <PercentField
                label={`Markup on ${KIND_WORDS[total.kind].toLowerCase()}`}
                value={total.markupPercent}
                onCommit={(percent) => setMarkup(total.kind, percent)}
              />
            }
          />
        ))}
      <Step name="Price before tax" amount={say(buildUp.priceBeforeTax)} strong />
      <Step
        name={buildUp.taxName}
        amount={say(buildUp.tax)}
        field={
          <PercentField
            label={buildUp.taxName}
            value={pricing.tax.percent}
            onCommit={(percent) => change({ tax: { ...pricing.tax, percent } })}
          />
        }
      />
      <Step name="Total to pay" amount={say(buildUp.total)} strong testID="price-total" />
    </View>
  );
}

/** Both ways of saying the same profit, always named. */
function Profit({ buildUp }: { buildUp: BuildUp }) {
  const { record } = useJob("record");
  return (
    <View className="flex-row gap-3 border-b-2 border-ink pb-3">
      <View className="flex-1">
        <Faint>Markup, on cost</Faint>
        <Figure className="text-2xl leading-8">{`${buildUp.markupOnCostPercent} %`}</Figure>
      </View>
      <View className="flex-1">
        <Faint>Margin, on price</Faint>
        <Figure className="text-2xl leading-8">{`${buildUp.marginOnPricePercent} %`}</Figure>
      </View>
      <View className="flex-1">
        <Faint>Profit</Faint>
        <Figure className="text-2xl leading-8">{formatMoney(buildUp.markup, record.job.currency)}</Figure>
      </View>
    </View>
  );
}

type StepProps = {
  readonly name: string;
  readonly amount: string;
  readonly field?: React.ReactNode;
  readonly strong?: boolean;
  readonly testID?: string;
};

function Step({ name, amount, field, strong = false, testID }: StepProps) {
  return (
    <View
      testID={testID}
      className={`min-h-12 flex-row items-center gap-3 py-1 ${strong ? "border-t-2 border-ink" : "border-b border-rule"}`}
    >
      {strong ? <Strong className="flex-1">{name}</Strong> : <Body className="flex-1">{name}</Body>}
      {field}
      <Figure className="min-w-28 text-right">{amount}</Figure>
    </View>
  );
}

function KindLines({ kind, buildUp, currency }: { kind: CostKind; buildUp: BuildUp; currency: string }) {
  const [open, setOpen] = useState(false);
  const lines = buildUp.lines.filter((line) => line.kind === kind);
  const total = buildUp.kinds.find((each) => each.kind === kind);
  if (lines.length === 0 || !total) return null;
  const hours = kind === "labour" ? `, ${buildUp.labourHours} h` : "";
  return (
    <View className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        className="min-h-12 flex-row items-center gap-3 active:bg-pine-wash"
      >
        <View className="flex-1">
          <Body>{KIND_WORDS[kind]}</Body>
          <Faint>{`${lines.length} ${lines.length === 1 ? "line" : "lines"}${hours}, ${open ? "press to close" : "press to see"}`}</Faint>
        </View>
        <Figure className="min-w-28 text-right">{formatMoney(total.cost, currency)}</Figure>
      </Pressable>
      {open ? (
        <View className="pb-2 pl-3">
          {lines.map((line) => (
            <View key={line.id} className="flex-row items-baseline gap-3 border-t border-rule py-1">
              <View className="flex-1">
                <Body className="text-sm">{line.description}</Body>
                <Faint className="figures">
                  {line.unitCost === null
                    ? "no price"
                    : `${line.quantity} ${packWord(Number(line.quantity), line.unitName)} at ${formatMoney(line.unitCost, currency)}`}
                </Faint>
              </View>
              <Figure className="text-base">{formatMoney(line.cost, currency)}</Figure>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}

import { type BuildUp, type CostKind, formatMoney, type Pricing, type StepBase } from "@wide-porch/core";
import { View } from "react-native";
import { Notice } from "../components/Notice";
import { Body, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { KindLines } from "./KindLines";
import { KIND_WORDS, KINDS_IN_ORDER } from "./kindWords";
import { PercentField, shareProblem, taxProblem } from "./PercentField";
import { Step } from "./Step";
import { TypedPrice } from "./TypedPrice";
import { TAX_WORDS } from "./taxWords";
import { useChangePricing } from "./useChangePricing";

type Props = { readonly buildUp: BuildUp; readonly pricing: Pricing };
type OnBase = "overhead" | "contingency" | "profit";

/** From cost to price as one column of figures that adds up, each step changed where it stands. */
export function CostToPrice({ buildUp, pricing }: Props) {
  const { record } = useJob("record");
  const { currency } = record.job;
  const change = useChangePricing();
  const say = (amount: string) => formatMoney(amount, currency);
  const setMarkup = (kind: CostKind, percent: string) =>
    change(({ markupPercent }) => ({ markupPercent: { ...markupPercent, [kind]: percent } }));
  const percentStep = (name: OnBase, label: string) => (
    <Step
      name={label}
      under={buildUp[name].base === buildUp.cost ? "" : `of ${say(buildUp[name].base)}`}
      amount={say(buildUp[name].amount)}
      field={
        <PercentField
          label={label}
          value={pricing[name].percent}
          onCommit={(percent) => change((now) => ({ [name]: { ...now[name], percent } }))}
        />
      }
    />
  );
  const { promptPayment } = pricing;
  return (
    <View className="gap-1">
      {buildUp.problems.length > 0 ? (
        <Notice title="To look at in this price">
          {buildUp.problems.map((problem) => (
            <Body key={problem.message}>{problem.message}</Body>
          ))}
        </Notice>
      ) : null}
      <Title level={2} className="pt-3">
        Cost
      </Title>
      {KINDS_IN_ORDER.map((kind) => (
        <KindLines key={kind} kind={kind} buildUp={buildUp} currency={currency} />
      ))}
      <Step name="Cost" amount={say(buildUp.cost)} strong />
      <Title level={2} className="pt-3">
        On top
      </Title>
      {pricing.escalation.months > 0 ? (
        <Step
          name="Rise until the start"
          under={`in ${pricing.escalation.months} months`}
          amount={say(buildUp.escalation)}
        />
      ) : null}
      {percentStep("overhead", `Overhead ${onWords(pricing.overhead.on)}`)}
      {percentStep("contingency", "Contingency")}
      {buildUp.kinds
        .filter((total) => total.cost !== "0.00")
        .toSorted((a, b) => KINDS_IN_ORDER.indexOf(a.kind) - KINDS_IN_ORDER.indexOf(b.kind))
        .map((total) => (
          <Step
            key={total.kind}
            name={`Markup on ${KIND_WORDS[total.kind].toLowerCase()}`}
            amount={say(total.markup)}
            {...(total.markups.every(({ percent }) => percent === pricing.markupPercent[total.kind])
              ? {}
              : { under: total.markups.map(({ percent, base }) => `${percent} % on ${say(base)}`).join(", ") })}
            field={
              <PercentField
                label={`Markup on ${KIND_WORDS[total.kind].toLowerCase()}`}
                value={pricing.markupPercent[total.kind]}
                onCommit={(percent) => setMarkup(total.kind, percent)}
              />
            }
          />
        ))}
      {percentStep("profit", `Profit ${onWords(pricing.profit.on)}`)}
      <Step
        name="Discount"
        amount={say(buildUp.discount.amount)}
        field={
          <PercentField
            label="Discount"
            check={shareProblem}
            value={pricing.discountPercent}
            onCommit={(discountPercent) => change(() => ({ discountPercent }))}
          />
        }
      />
      <Step
        name="For prompt payment"
        under={promptPayment.how === "taken-off" ? "taken off the price" : "added, to be taken off by who pays at once"}
        amount={say(buildUp.promptPayment.amount)}
        field={
          <PercentField
            label="For prompt payment"
            check={shareProblem}
            value={promptPayment.percent}
            onCommit={(percent) => change((now) => ({ promptPayment: { ...now.promptPayment, percent } }))}
          />
        }
      />
      {buildUp.adjusted ? (
        <Step
          name="To the price typed"
          under={`It was ${say(buildUp.adjusted.before)} by itself.`}
          amount={say(buildUp.adjusted.difference)}
        />
      ) : null}
      <Step name="Price before tax" amount={say(buildUp.priceBeforeTax)} strong />
      {buildUp.taxes.map((tax) => (
        <Step
          key={tax.class}
          name={
            tax.class === "standard" ? buildUp.taxName : `${buildUp.taxName}, ${TAX_WORDS[tax.class].toLowerCase()}`
          }
          amount={say(tax.amount)}
          {...(buildUp.taxes.length > 1 ? { under: `${tax.percent} % on ${say(tax.base)}` } : {})}
          field={
            tax.class === "standard" ? (
              <PercentField
                label={buildUp.taxName}
                check={taxProblem}
                value={pricing.tax.percent}
                onCommit={(percent) => change(({ tax: now }) => ({ tax: { ...now, percent } }))}
              />
            ) : undefined
          }
        />
      ))}
      <Step name="Total to pay" amount={say(buildUp.total)} strong testID="price-total" />
      <TypedPrice buildUp={buildUp} pricing={pricing} />
    </View>
  );
}

/** What a step is of, in its name. */
const onWords = (on: StepBase): string => (on === "cost" ? "on cost" : "on all before it");

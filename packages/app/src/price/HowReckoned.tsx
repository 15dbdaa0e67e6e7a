import { APART_STEPS, type ApartStep, type Pricing, type StepBase } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { Faint } from "../components/Text";
import { Toggles } from "../components/Toggles";
import { useChangePricing } from "./useChangePricing";

const BASES: readonly { readonly value: StepBase; readonly label: string }[] = [
  { value: "cost", label: "On cost" },
  { value: "before", label: "On all before it" },
];
const BASE_WORDS = { overhead: "Overhead is", contingency: "Contingency is", profit: "Profit is" } as const;
const APART_WORDS: Readonly<Record<ApartStep, string>> = {
  contingency: "Contingency",
  discount: "Discount",
  promptPayment: "For prompt payment",
};

/** What each step is of, and which of them the customer reads by themselves. */
export function HowReckoned({ pricing }: { readonly pricing: Pricing }) {
  const change = useChangePricing();
  const { promptPayment, apart } = pricing;
  const toggle = (label: string, on: boolean) => {
    const step = APART_STEPS.find((each) => APART_WORDS[each] === label);
    if (!step) return;
    change(({ apart: now }) => ({ apart: [...now.filter((each) => each !== step), ...(on ? [step] : [])] }));
  };
  return (
    <View className="gap-3">
      {(["overhead", "contingency", "profit"] as const).map((name) => (
        <Choice
          key={name}
          label={BASE_WORDS[name]}
          options={BASES}
          value={pricing[name].on}
          onChange={(on) => change((now) => ({ [name]: { ...now[name], on } }))}
        />
      ))}
      <Choice
        label="A discount for prompt payment is"
        options={[
          { value: "taken-off", label: "Taken off the price" },
          { value: "allowed-for", label: "Allowed for in it" },
        ]}
        value={promptPayment.how}
        onChange={(how) => change((now) => ({ promptPayment: { ...now.promptPayment, how } }))}
      />
      <Toggles
        label="On a line of its own in the quote"
        options={APART_STEPS.map((step) => APART_WORDS[step])}
        chosen={apart.map((step) => APART_WORDS[step])}
        onToggle={toggle}
      />
      <Faint>All else is spread over the parts: the customer reads no cost, markup or margin.</Faint>
    </View>
  );
}

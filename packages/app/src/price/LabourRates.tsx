import { amountSchema, type Pricing } from "@wide-porch/core";
import { View } from "react-native";
import { CommitField } from "../components/CommitField";
import { Body, Title } from "../components/Text";
import { useChangePricing } from "./useChangePricing";

export const amountProblem = (text: string): string | undefined =>
  amountSchema.safeParse(text).success ? undefined : "An amount like 9.84, zero or more.";

export function LabourRates({ pricing }: { pricing: Pricing }) {
  const change = useChangePricing();
  const setHours = (id: string, hoursPerUnit: string) =>
    change(({ tasks }) => ({ tasks: tasks.map((task) => (task.id === id ? { ...task, hoursPerUnit } : task)) }));
  return (
    <View className="gap-2">
      <Title level={2}>Labour</Title>
      <Line name="Rate for an hour">
        <CommitField
          label="Rate for an hour"
          hideLabel
          value={pricing.ratePerHour}
          check={amountProblem}
          onCommit={(ratePerHour) => change(() => ({ ratePerHour }))}
          inputMode="decimal"
          boxClassName="w-28"
          className="text-right"
        />
      </Line>
      {pricing.tasks.map((task) => (
        <Line key={task.id} name={`${task.name}, hours a ${task.unit}`}>
          <CommitField
            label={`${task.name}, hours a ${task.unit}`}
            hideLabel
            value={task.hoursPerUnit}
            check={amountProblem}
            onCommit={(hours) => setHours(task.id, hours)}
            suffix="h"
            inputMode="decimal"
            boxClassName="w-28"
            className="text-right"
          />
        </Line>
      ))}
    </View>
  );
}

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <View className="flex-row items-center gap-3">
      <Body className="flex-1">{name}</Body>
      {children}
    </View>
  );
}

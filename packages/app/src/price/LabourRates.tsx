import { amountSchema, hoursShown, hoursStored, type MeasuringSystem, type Pricing, taskUnit } from "@wide-porch/core";
import { View } from "react-native";
import { Body, Faint } from "../components/Text";
import { useJob } from "../job/JobContext";
import { FigureField } from "../measure/FigureField";
import { useChangePricing } from "./useChangePricing";

export const amountProblem = (text: string): string | undefined =>
  amountSchema.safeParse(text).success ? undefined : "An amount like 9.84, zero or more.";

/** Hours for each task, by the job's own measure: 100 sq ft, or a square metre. */
export function LabourRates({ pricing }: { pricing: Pricing }) {
  const change = useChangePricing();
  const { context } = useJob("context");
  const { system } = context;
  const setHours = (id: string, typed: string) =>
    change(({ tasks }) => ({
      tasks: tasks.map((task) =>
        task.id === id ? { ...task, hoursPerUnit: hoursStored(typed, task.unit, system) } : task,
      ),
    }));
  const setInAll = (id: string, hours: string) =>
    change(({ taskHours }) => {
      const { [id]: _, ...others } = taskHours;
      return { taskHours: hours === "" ? others : { ...others, [id]: hours } };
    });
  return (
    <View className="gap-2">
      <Line name="Rate for an hour">
        <FigureField
          measure="money"
          label="Rate for an hour"
          hideLabel
          value={pricing.ratePerHour}
          check={amountProblem}
          onCommit={(ratePerHour) => change(() => ({ ratePerHour }))}
          boxClassName="w-28"
          className="text-right"
        />
      </Line>
      <View className="flex-row items-end gap-3">
        <Faint className="flex-1">Hours by what is counted; or so many in all, whatever is counted.</Faint>
        <Faint className="w-24 text-right">Each</Faint>
        <Faint className="w-28 text-right">In all</Faint>
      </View>
      {pricing.tasks.map((task) => (
        <Line key={task.id} name={hoursLabel(task, system)}>
          <FigureField
            measure="number"
            label={hoursLabel(task, system)}
            hideLabel
            value={hoursShown(task.hoursPerUnit, task.unit, system)}
            check={amountProblem}
            onCommit={(hours) => setHours(task.id, hours)}
            suffix="h"
            boxClassName="w-24"
            className="text-right"
          />
          <FigureField
            measure="number"
            label={`${task.name}, hours for the whole job`}
            hideLabel
            value={Object.hasOwn(pricing.taskHours, task.id) ? (pricing.taskHours[task.id] ?? "") : ""}
            check={(text) => (text === "" ? undefined : amountProblem(text))}
            onCommit={(hours) => setInAll(task.id, hours)}
            boxClassName="w-28"
            className="text-right"
          />
        </Line>
      ))}
    </View>
  );
}

const hoursLabel = ({ name, unit }: Pricing["tasks"][number], system: MeasuringSystem): string => {
  const { words } = taskUnit(unit, system);
  return `${name}, hours ${/^\d/.test(words) ? "for" : "a"} ${words}`;
};

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <View className="flex-row items-center gap-3">
      <Body className="flex-1">{name}</Body>
      {children}
    </View>
  );
}

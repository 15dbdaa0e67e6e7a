import { type Condition, MOST_CONDITIONS, type Pricing } from "@wide-porch/core";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { Picker } from "../components/Picker";
import { Body, Faint } from "../components/Text";
import { Plus, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { PercentField } from "./PercentField";
import { useChangePricing } from "./useChangePricing";

/** What makes work slower or faster here than usual, for all of it, a task or a part. */
export function Conditions({ pricing }: { readonly pricing: Pricing }) {
  const { parts } = useJob("parts");
  const change = useChangePricing();
  const { conditions, tasks } = pricing;
  const set = (id: string, changed: Partial<Condition>) =>
    change(({ conditions: now }) => ({
      conditions: now.map((each) => (each.id === id ? { ...each, ...changed } : each)),
    }));
  const add = () =>
    change(({ conditions: now }) => ({
      conditions: [...now, { id: newId(), name: "Tight access", percent: "100", task: "", partId: null }],
    }));
  const taskOptions = [{ value: "", label: "All work" }, ...tasks.map(({ id, name }) => ({ value: id, label: name }))];
  const partOptions = [
    { value: "", label: "The whole job" },
    ...parts.map(({ id, name, location }) => ({ value: id, label: name, under: location })),
  ];
  return (
    <View className="gap-3">
      <Faint>
        Tight access, work at a height, people living there: hours in percent of the usual. Several on one part each
        count.
      </Faint>
      {conditions.map(({ id, name, percent, task, partId }) => (
        <View key={id} className="gap-2 border-b border-rule pb-3">
          <View className="flex-row items-end gap-2">
            <View className="min-w-0 flex-1">
              <CommitField
                label="What makes it so"
                value={name}
                check={(text) => (text.trim() === "" || text.length > 120 ? "A few words." : undefined)}
                onCommit={(text) => set(id, { name: text.trim() })}
              />
            </View>
            <IconButton
              name={`Take out ${name}`}
              icon={Trash2}
              onPress={() => change((now) => ({ conditions: now.conditions.filter((each) => each.id !== id) }))}
            />
          </View>
          <View className="flex-row items-center gap-3">
            <Body className="flex-1">Hours, of the usual</Body>
            <PercentField
              label={`${name}, hours of the usual`}
              value={percent}
              onCommit={(text) => set(id, { percent: text })}
            />
          </View>
          <Picker label="On which work" options={taskOptions} value={task} onChange={(to) => set(id, { task: to })} />
          <Picker
            label="Where"
            options={partOptions}
            value={partId ?? ""}
            onChange={(to) => set(id, { partId: to === "" ? null : to })}
          />
        </View>
      ))}
      {conditions.length < MOST_CONDITIONS ? (
        <Button label="A condition" kind="plain" icon={Plus} onPress={add} />
      ) : null}
    </View>
  );
}

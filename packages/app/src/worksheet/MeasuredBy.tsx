import type { Extra } from "@wide-porch/core";
import { View } from "react-native";
import { Picker } from "../components/Picker";
import { Faint } from "../components/Text";
import { useJob } from "../job/JobContext";

type Props = { readonly extra: Extra; readonly onChange: (partId: string | null) => void };

/** A cost that was typed before anything was measured gives way to the part that is measured in its place. */
export function MeasuredBy({ extra, onChange }: Props) {
  const { parts, reckoning } = useJob("parts", "reckoning");
  const { measuredBy } = extra;
  const count = reckoning?.counts.find(({ partId }) => partId === measuredBy);
  const counted = count !== undefined && !count.waits && count.lines.length > 0;
  const options = [
    { value: "", label: "Nothing yet: it costs what was typed" },
    ...parts.map(({ id, name, location }) => ({ value: id, label: name, under: location })),
  ];
  return (
    <View className="gap-1">
      <Faint>Measured in its place</Faint>
      <Picker
        label="Measured in its place"
        options={options}
        value={measuredBy ?? ""}
        onChange={(id) => onChange(id === "" ? null : id)}
      />
      {measuredBy === null ? null : (
        <Faint role="status">
          {counted
            ? "That part is counted: what was typed is in the price no longer."
            : "That part is not counted yet: what was typed stays in the price until it is."}
        </Faint>
      )}
    </View>
  );
}

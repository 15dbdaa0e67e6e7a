import { type Ceiling, confirmedChoice, type Drop, newDrop, type Room, runName } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Title } from "../../components/Text";
import { Trash2 } from "../../icons";
import { newId } from "../../sync/newId";

const SHAPES: readonly { readonly value: Ceiling["shape"]["value"]; readonly label: string }[] = [
  { value: "level", label: "Level" },
  { value: "sloped", label: "Sloped" },
  { value: "vaulted", label: "Vaulted" },
];

const BY: readonly { readonly value: "height" | "pitch"; readonly label: string }[] = [
  { value: "height", label: "Two heights" },
  { value: "pitch", label: "A pitch" },
];

const USUAL_PITCH_DEGREES = 30;

type Props = {
  readonly room: Room;
  readonly onChange: (room: Room) => void;
  readonly onAdded: (room: Room, path: string) => void;
};

/** One height, two heights or a pitch; bulkheads and trays. Heights themselves are figures. */
export function CeilingPanel({ room, onChange, onAdded }: Props) {
  const { ceiling } = room;
  const set = (change: Partial<Ceiling>) => onChange({ ...room, ceiling: { ...ceiling, ...change } });
  const sloped = ceiling.shape.value !== "level";
  const by = ceiling.pitchDegrees === null ? "height" : "pitch";
  const measureBy = (how: "height" | "pitch") => {
    if (how === "height") return set({ pitchDegrees: null });
    onAdded({ ...room, ceiling: { ...ceiling, pitchDegrees: USUAL_PITCH_DEGREES } }, "ceiling.pitch");
  };
  const addDrop = (kind: Drop["kind"]) => {
    const drop = newDrop(room, kind, newId().slice(0, 8));
    onAdded({ ...room, ceiling: { ...ceiling, drops: [...ceiling.drops, drop] } }, `drops.${drop.id}.length`);
  };
  return (
    <View className="gap-3">
      <Title level={2}>Ceiling</Title>
      <Choice
        label="Shape"
        options={SHAPES}
        value={ceiling.shape.value}
        assumed={ceiling.shape.assumed}
        onChange={(value) => set({ shape: confirmedChoice(value) })}
      />
      {sloped ? (
        <>
          <Choice
            label="It rises from"
            options={room.runs.map((run) => ({ value: run.id, label: runName(room, run.id) }))}
            value={ceiling.fromRunId}
            onChange={(fromRunId) => set({ fromRunId })}
          />
          <Choice label="Measured by" options={BY} value={by} onChange={measureBy} />
        </>
      ) : null}
      <View className="flex-row gap-2">
        <Button
          label="Bulkhead"
          name="Add a bulkhead"
          kind="plain"
          className="flex-1"
          onPress={() => addDrop("bulkhead")}
        />
        <Button label="Tray" name="Add a tray" kind="plain" className="flex-1" onPress={() => addDrop("tray")} />
      </View>
      <View className="flex-row flex-wrap">
        {ceiling.drops.map(({ id, name }) => (
          <Button
            key={id}
            label={`Take out ${name}`}
            kind="quiet"
            icon={Trash2}
            onPress={() => set({ drops: ceiling.drops.filter((drop) => drop.id !== id) })}
          />
        ))}
      </View>
    </View>
  );
}

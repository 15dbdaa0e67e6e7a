import { newOpening, type Opening, type StudWall } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint, Warning } from "../components/Text";
import { Trash2 } from "../icons";
import { useJobActions } from "../job/JobContext";
import { newId } from "../sync/newId";

const KINDS: readonly { kind: Opening["kind"]; label: string }[] = [
  { kind: "door", label: "Door" },
  { kind: "window", label: "Window" },
  { kind: "plain", label: "Plain" },
];

export function OpeningButtons({ wall, onAdded }: { wall: StudWall; onAdded: (id: string) => void }) {
  const { context, savePart } = useJobActions();
  const [refusal, setRefusal] = useState<string>();
  const add = (kind: Opening["kind"]) => {
    const id = newId().slice(0, 8);
    const opening = newOpening(wall, kind, id, context);
    setRefusal(
      opening
        ? undefined
        : wall.length.valueNm === null
          ? "Measure the wall's length first."
          : "There is no room left for another opening.",
    );
    if (!opening) return;
    savePart({ ...wall, openings: [...wall.openings, opening] });
    onAdded(id);
  };
  const remove = (opening: Opening) =>
    savePart({ ...wall, openings: wall.openings.filter((each) => each.id !== opening.id) });
  return (
    <View className="gap-2">
      <Faint>Add an opening</Faint>
      <View className="flex-row gap-2">
        {KINDS.map(({ kind, label }) => (
          <Button
            key={kind}
            label={label}
            name={`Add a ${label.toLowerCase()} opening`}
            kind="plain"
            className="flex-1 px-2"
            onPress={() => add(kind)}
          />
        ))}
      </View>
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <View className="flex-row flex-wrap">
        {wall.openings.map((opening) => (
          <Button
            key={opening.id}
            label={`Take out ${opening.name}`}
            kind="quiet"
            icon={Trash2}
            onPress={() => remove(opening)}
          />
        ))}
      </View>
    </View>
  );
}

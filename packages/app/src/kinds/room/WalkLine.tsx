import { finishWalk, type Room, walkOf } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Warning } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { gapText } from "./gapText";

type Props = { readonly room: Room; readonly onDone: (room: Room) => void };

/** While walking: where the walk stands from its start, and the way to say that it is back. */
export function WalkLine({ room, onDone }: Props) {
  const { context } = useJob("context");
  const [refusal, setRefusal] = useState<string>();
  if (room.finished) return null;
  const done = () => {
    const finished = finishWalk(room);
    if (finished) onDone(finished);
    else setRefusal("A room has at least three walls.");
  };
  const text = gapText(walkOf(room).gap, context.system);
  return (
    <View className="flex-row items-center justify-between gap-2">
      <View className="flex-1" aria-live="polite">
        {refusal ? <Warning role="alert">{refusal}</Warning> : <Faint>{text ?? "The walk has just begun"}</Faint>}
      </View>
      <Button label="Walk done" kind="plain" className="min-h-11 px-3" onPress={done} />
    </View>
  );
}

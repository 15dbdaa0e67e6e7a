import type { StudWall } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { Faint, Title } from "../components/Text";
import { Pencil, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";

export function WallName({ wall }: { wall: StudWall }) {
  const { savePart, binPart, record } = useJob();
  const router = useRouter();
  const [editing, setEditing] = useState(false);
  const bin = () => {
    binPart(wall.id);
    router.replace(`/jobs/${record.id}/measure` as Href);
  };
  if (!editing) {
    return (
      <View className="flex-row items-center">
        <View className="min-w-0 flex-1">
          <Title level={2}>{wall.name}</Title>
          <Faint>{[wall.storey, wall.location].filter(Boolean).join(", ")}</Faint>
        </View>
        <IconButton name="Name, storey and location" icon={Pencil} onPress={() => setEditing(true)} />
      </View>
    );
  }
  return (
    <View className="gap-3">
      <CommitField
        label="Name"
        value={wall.name}
        check={(text) =>
          text === "" ? "A wall needs a name." : text.length > 120 ? "At most 120 letters." : undefined
        }
        onCommit={(name) => savePart({ ...wall, name })}
      />
      <CommitField
        label="Storey"
        value={wall.storey}
        onCommit={(storey) => savePart({ ...wall, storey: storey.slice(0, 80) })}
      />
      <CommitField
        label="Location"
        value={wall.location}
        onCommit={(location) => savePart({ ...wall, location: location.slice(0, 120) })}
      />
      <View className="flex-row justify-between">
        <Button label={`Put “${wall.name.slice(0, 24)}” in the bin`} kind="quiet" icon={Trash2} onPress={bin} />
        <Button label="Done" kind="plain" onPress={() => setEditing(false)} />
      </View>
    </View>
  );
}

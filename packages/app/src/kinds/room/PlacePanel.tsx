import { isRoom, type Room, runName } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Body, Strong, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { JoinSheet } from "../../plan/JoinSheet";

type Props = { readonly room: Room; readonly onChange: (room: Room) => void };

const BY_ITSELF = "";

/** Where a room stands on its storey, and the room it belongs to. */
export function PlacePanel({ room, onChange }: Props) {
  const { parts, jobId } = useJob("parts", "jobId");
  const [joining, setJoining] = useState(false);
  const { place } = room;
  const others = parts.filter(
    (part): part is Room => isRoom(part) && part.storey === room.storey && part.id !== room.id,
  );
  const host = place.how === "joined" ? others.find((each) => each.id === place.toRoomId) : undefined;
  const words =
    place.how === "joined" && host
      ? `${runName(room, place.runId)} is the other side of ${runName(host, place.toRunId)} of ${host.name}.`
      : "It stands free on the plan.";
  const owners = others.filter((each) => each.belongsTo !== room.id);
  return (
    <View className="gap-3">
      <Title level={2}>On the plan</Title>
      <Body>{words}</Body>
      <View className="flex-row flex-wrap items-center gap-3">
        <Button label="Join to a wall" kind="plain" onPress={() => setJoining(true)} />
        <Link href={`/jobs/${jobId}/measure/plan?storey=${encodeURIComponent(room.storey)}` as Href}>
          <Strong className="text-pine underline">{`Plan of ${room.storey}`}</Strong>
        </Link>
      </View>
      {owners.length > 0 ? (
        <Choice
          label="Counted with"
          options={[
            { value: BY_ITSELF, label: "By itself" },
            ...owners.map((each) => ({ value: each.id, label: each.name })),
          ]}
          value={room.belongsTo ?? BY_ITSELF}
          onChange={(id) => onChange({ ...room, belongsTo: id === BY_ITSELF ? null : id })}
        />
      ) : null}
      {joining ? <JoinSheet room={room} onClose={() => setJoining(false)} onJoined={onChange} /> : null}
    </View>
  );
}

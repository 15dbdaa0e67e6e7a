import { freed, type PlacedRoom, type Room, type StoreyPlan } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Body } from "../components/Text";
import { Link as LinkIcon, RotateCw, Unlink } from "../icons";
import { JoinSheet } from "./JoinSheet";

type MoverProps = {
  readonly room: PlacedRoom | undefined;
  readonly storey: StoreyPlan;
  readonly onSave: (room: Room) => void;
};

/** What can be done to a room on the plan, without a pointer too. */
export function RoomMover({ room: placed, storey, onSave }: MoverProps) {
  const [joining, setJoining] = useState(false);
  if (!placed) {
    return <Body>Drag a room until it snaps to a neighbour's wall, or press one and choose the wall.</Body>;
  }
  const { room } = placed;
  const joined = room.place.how === "joined";
  const free = freed(placed);
  const turn = () => {
    if (free.place.how === "free")
      onSave({ ...free, place: { ...free.place, turnDegrees: (placed.turnDegrees + 270) % 360 } });
  };
  const { place } = room;
  const host = place.how === "joined" ? storey.rooms.find((each) => each.room.id === place.toRoomId) : undefined;
  return (
    <View className="gap-2" role="group" aria-label={`Place of ${room.name}`}>
      <Body>{host ? `${room.name} is joined to ${host.room.name}.` : `${room.name} stands free.`}</Body>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Join to a wall" kind="plain" icon={LinkIcon} onPress={() => setJoining(true)} />
        {joined ? <Button label="Set free" kind="plain" icon={Unlink} onPress={() => onSave(free)} /> : null}
        <Button label="Quarter turn" kind="plain" icon={RotateCw} onPress={turn} />
      </View>
      {joining ? <JoinSheet room={room} onClose={() => setJoining(false)} onJoined={onSave} /> : null}
    </View>
  );
}

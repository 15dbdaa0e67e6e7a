import {
  type Feature,
  hostsOf,
  measuredOtherwise,
  newFeature,
  newRoomOpening,
  type Room,
  type RoomOpening,
  runName,
  type SharedOpening,
  unitAllowance,
  usualFraming,
  withoutFeature,
  withoutRun,
} from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Faint, Title, Warning } from "../../components/Text";
import { Trash2 } from "../../icons";
import { useJob } from "../../job/JobContext";
import { newId } from "../../sync/newId";
import { OpeningRow, OpeningSheet } from "../../wall/OpeningSheet";
import { NewWallFromRoom } from "./NewWallFromRoom";

const OPENINGS: readonly { readonly kind: RoomOpening["kind"]; readonly label: string }[] = [
  { kind: "door", label: "Door" },
  { kind: "window", label: "Window" },
  { kind: "plain", label: "Opening" },
  { kind: "arch", label: "Archway" },
];

type Props = {
  readonly room: Room;
  readonly shared: readonly SharedOpening[];
  /** The wall, recess or bump that things are put in. */
  readonly hostId: string;
  readonly onHost: (id: string) => void;
  readonly onChange: (room: Room) => void;
  readonly onAdded: (room: Room, path: string) => void;
};

/** What is done to one wall: openings, recesses and bumps in it, and a new stud wall made of it. */
export function WallTools({ room, shared, hostId, onHost, onChange, onAdded }: Props) {
  const { context } = useJob("context");
  const [refusal, setRefusal] = useState<string>();
  const hosts = hostsOf(room, runName).filter((host) => host.lengthNm !== null);
  const host = hosts.find((each) => each.id === hostId);
  if (!host) return <Faint>Measure a wall, then put doors and windows in it.</Faint>;
  const isRun = room.runs.some((run) => run.id === host.id);
  const noRoom = () => setRefusal(`There is no room left in ${host.name}.`);

  const addOpening = (kind: RoomOpening["kind"]) => {
    const id = newId().slice(0, 8);
    const opening = newRoomOpening(room, host.id, kind, id, context);
    if (!opening) {
      noRoom();
      return;
    }
    setRefusal(undefined);
    onAdded({ ...room, openings: [...room.openings, opening] }, `openings.${id}.position`);
  };
  const addFeature = (kind: Feature["kind"]) => {
    const id = newId().slice(0, 8);
    const feature = newFeature(room, host.id, kind, id, context);
    if (!feature) {
      noRoom();
      return;
    }
    setRefusal(undefined);
    onAdded({ ...room, features: [...room.features, feature] }, `features.${id}.width`);
  };
  return (
    <View className="gap-3">
      <Title level={2}>In the walls</Title>
      <Choice
        label="Wall"
        options={hosts.map((each) => ({ value: each.id, label: each.name.replace(/^Wall /, "") }))}
        value={host.id}
        onChange={onHost}
      />
      <View className="flex-row flex-wrap gap-2">
        {OPENINGS.map(({ kind, label }) => (
          <Button
            key={kind}
            label={label}
            name={`Add a ${label.toLowerCase()} in ${host.name}`}
            kind="plain"
            className="flex-1 px-2"
            onPress={() => addOpening(kind)}
          />
        ))}
      </View>
      {isRun ? (
        <View className="flex-row gap-2">
          <Button
            label="Recess"
            name={`Pull a recess out of ${host.name}`}
            kind="plain"
            className="flex-1 px-2"
            onPress={() => addFeature("recess")}
          />
          <Button
            label="Bump"
            name={`Pull a bump into the room from ${host.name}`}
            kind="plain"
            className="flex-1 px-2"
            onPress={() => addFeature("bump")}
          />
        </View>
      ) : null}
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <NewWallFromRoom room={room} hostId={host.id} hostName={host.name} />
      <WhatIsIn room={room} hostId={host.id} onChange={onChange} />
      {shared.map((opening) => (
        <Faint
          key={opening.id}
        >{`${opening.name} is typed in ${opening.sharedFrom.roomName}, on the other side of ${runName(room, opening.hostId)}.`}</Faint>
      ))}
    </View>
  );
}

/** What is in a wall, to be changed or taken out, and the wall itself. */
function WhatIsIn({ room, hostId, onChange }: Pick<Props, "room" | "hostId" | "onChange">) {
  const { context } = useJob("context");
  const openings = room.openings.filter((opening) => opening.hostId === hostId);
  const features = room.features.filter((feature) => feature.runId === hostId || feature.id === hostId);
  const isRun = room.runs.some((run) => run.id === hostId);
  const [openId, setOpenId] = useState<string>();
  const open = openings.find((each) => each.id === openId);
  const put = (id: string, changed: RoomOpening | undefined) =>
    onChange({ ...room, openings: room.openings.flatMap((each) => (each.id === id ? (changed ?? []) : each)) });
  return (
    <View>
      {openings.map((opening) => (
        <OpeningRow key={opening.id} opening={opening} onPress={() => setOpenId(opening.id)} />
      ))}
      {open ? (
        <OpeningSheet
          opening={open}
          onMeasuredAs={(measuredAs) =>
            put(open.id, measuredOtherwise(open, measuredAs, unitAllowance(open.kind, usualFraming(context.system))))
          }
          onTakeOut={() => {
            setOpenId(undefined);
            put(open.id, undefined);
          }}
          onClose={() => setOpenId(undefined)}
        />
      ) : null}
      {features.map(({ id, name }) => (
        <Button
          key={id}
          label={`Take out ${name}`}
          kind="quiet"
          icon={Trash2}
          onPress={() => onChange(withoutFeature(room, id))}
        />
      ))}
      {isRun && room.runs.length > 1 ? (
        <Button
          label={`Take ${runName(room, hostId)} out of the walk`}
          kind="quiet"
          icon={Trash2}
          onPress={() => onChange(withoutRun(room, hostId))}
        />
      ) : null}
    </View>
  );
}

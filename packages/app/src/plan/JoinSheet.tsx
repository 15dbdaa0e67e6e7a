import { assumedDimension, joinable, type Room, runName } from "@wide-porch/core";
import { useState } from "react";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Body } from "../components/Text";
import { useJob } from "../job/JobContext";

type Props = { readonly room: Room; readonly onClose: () => void; readonly onJoined: (room: Room) => void };

/** Puts a room against a chosen wall of another: by name, for when dragging is too coarse or there is no pointer. */
export function JoinSheet({ room, onClose, onJoined }: Props) {
  const { plan } = useJob("plan");
  const storey = plan.storeys.find((each) => each.name === room.storey);
  const choices = storey ? joinable(storey, room.id) : [];
  const joined = room.place.how === "joined" ? room.place : undefined;
  const own = room.runs.filter((run) => run.length.valueNm !== null);
  const [toRoomId, setRoom] = useState(joined?.toRoomId ?? choices[0]?.room.id ?? "");
  const neighbour = choices.find((each) => each.room.id === toRoomId);
  const [toRunId, setToRun] = useState(joined?.toRunId ?? "");
  const [runId, setRun] = useState(joined?.runId ?? own[0]?.id ?? "");
  const wall = neighbour?.runIds.includes(toRunId) ? toRunId : (neighbour?.runIds[0] ?? "");
  const join = () => {
    const offset = joined?.toRoomId === toRoomId && joined.toRunId === wall ? joined.offset : assumedDimension(0);
    onJoined({ ...room, place: { how: "joined", toRoomId, toRunId: wall, runId, offset } });
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`Join ${room.name} to a wall`}>
      {neighbour && own.length > 0 ? (
        <>
          <Choice
            label="Its own wall"
            options={own.map((run) => ({ value: run.id, label: runName(room, run.id) }))}
            value={runId}
            onChange={setRun}
          />
          <Choice
            label="Against a wall of"
            options={choices.map((each) => ({ value: each.room.id, label: each.room.name }))}
            value={toRoomId}
            onChange={setRoom}
          />
          <Choice
            label="Which wall there"
            options={neighbour.runIds.map((id) => ({ value: id, label: runName(neighbour.room, id) }))}
            value={wall}
            onChange={setToRun}
          />
          <Body>The two walls become one: framed once, finished on both sides.</Body>
          <Button label="Join" onPress={join} />
        </>
      ) : (
        <Body>There is no other room on this storey with a measured wall that this one could stand against.</Body>
      )}
    </Sheet>
  );
}

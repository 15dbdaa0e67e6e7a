import {
  drawStorey,
  freed,
  isRoom,
  isWallPart,
  type PlacedRoom,
  type Point,
  placedAt,
  planPoints,
  type Room,
  type StoreyPlan,
  snapRoom,
  storeyMeasures,
} from "@wide-porch/core";
import { type Href, useLocalSearchParams, useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { ScrollView, View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Notice } from "../components/Notice";
import { Body, Faint, Title } from "../components/Text";
import { DxfButton } from "../export/DxfButton";
import { Move } from "../icons";
import { useJob } from "../job/JobContext";
import { MeasureList } from "../measure/MeasureList";
import { useWide } from "../theme/useWide";
import { RoomMover } from "./RoomMover";
import { StoreySettings } from "./StoreySettings";
import { type Drag, ZoomablePlan } from "./ZoomablePlan";

const PHONE_HEIGHT_PX = 380;
const WIDE_HEIGHT_PX = 640;

const roomIdOf = (shapeId: string): string | undefined => /^floor\/(.+)$/.exec(shapeId)?.[1];

/** A whole storey from above: rooms put together, walls new and existing, and the outside of the house. */
export function PlanScreen() {
  const { storey: asked } = useLocalSearchParams<{ storey?: string }>();
  const { plan } = useJob("plan");
  const withRooms = plan.storeys.filter((each) => each.rooms.length > 0);
  const [name, setName] = useState(asked);
  const storey = withRooms.find((each) => each.name === name) ?? withRooms[0];
  if (!storey) {
    return (
      <View className="gap-2 p-6">
        <Title level={2}>There is no plan yet</Title>
        <Body>Measure a room first. Its plan turns up here, to be joined to the next.</Body>
      </View>
    );
  }
  const names = withRooms.map((each) => ({ value: each.name, label: each.name }));
  return <Storey key={storey.name} storey={storey} names={names} onStorey={setName} />;
}

type StoreyProps = {
  readonly storey: StoreyPlan;
  readonly names: readonly { readonly value: string; readonly label: string }[];
  readonly onStorey: (name: string) => void;
};

/** A room picked up and put down: where it would go, and the change that puts it there. */
function dragOf(
  storey: StoreyPlan,
  placed: PlacedRoom,
  by: Point,
  reachNm: number,
  system: "imperial" | "metric",
  save: (room: Room) => void,
): Drag {
  const origin = { xNm: placed.origin.xNm + by.xNm, yNm: placed.origin.yNm + by.yNm };
  const snapped = snapRoom(storey, placed.room, origin, reachNm, system);
  if (snapped) return { ghost: snapped.placed.polygon ?? [], snapped: true, drop: () => save(snapped.room) };
  const moved = placedAt(placed.room, origin, placed.turnDegrees);
  return {
    ghost: moved.polygon ?? moved.faces.map((face) => face.from),
    snapped: false,
    drop: () => save(freed(placed, by)),
  };
}

function Storey({ storey, names, onStorey }: StoreyProps) {
  const wide = useWide();
  const router = useRouter();
  const { parts, plan, context, jobId, savePart } = useJob("parts", "plan", "context", "jobId", "savePart");
  const [moving, setMoving] = useState(false);
  const [selected, select] = useState<string>();
  const walls = useMemo(() => parts.filter(isWallPart), [parts]);
  const drawing = useMemo(() => drawStorey(storey, walls, plan, context), [storey, walls, plan, context]);
  const measures = useMemo(() => storeyMeasures(storey, context), [storey, context]);
  const points = useMemo(() => planPoints(parts, plan, context), [parts, plan, context]);
  const here = points.filter(({ partId }) => parts.some((part) => part.id === partId && part.storey === storey.name));
  const room = storey.rooms.find((each) => each.room.id === selected);
  const lit = useMemo(() => new Set(moving && selected ? [`floor/${selected}`] : []), [moving, selected]);

  /** As entered: what the plan put in is not saved with it. */
  const save = (changed: Room) => {
    const entered = parts.filter(isRoom).find((part) => part.id === changed.id);
    if (entered) savePart({ ...entered, place: changed.place });
  };
  const open = (shapeId: string) => {
    const roomId = roomIdOf(shapeId);
    if (moving) {
      if (roomId) select(roomId);
      return;
    }
    const target = parts.find((part) => part.id === shapeId || part.id === roomId || shapeId.startsWith(`${part.id}/`));
    if (target) router.push(`/jobs/${jobId}/measure/${target.id}` as Href);
  };
  const onDrag = moving
    ? (shapeId: string, by: Point, reachNm: number) => {
        const placed = storey.rooms.find((each) => each.room.id === roomIdOf(shapeId));
        if (placed && placed.room.id !== selected) select(placed.room.id);
        return placed && dragOf(storey, placed, by, reachNm, context.system, save);
      }
    : undefined;
  const canvas = (
    <ZoomablePlan
      drawing={drawing}
      description={`Plan of ${storey.name}: ${storey.rooms.length} rooms; figures outside it are outside measure`}
      heightPx={wide ? WIDE_HEIGHT_PX : PHONE_HEIGHT_PX}
      litIds={lit}
      onShape={open}
      onDrag={onDrag}
    />
  );
  const lists = (
    <>
      {names.length > 1 ? <Choice label="Storey" options={names} value={storey.name} onChange={onStorey} /> : null}
      <View className="gap-2">
        <Button
          label={moving ? "Rooms are where they belong" : "Move rooms"}
          kind="plain"
          icon={Move}
          onPress={() => setMoving(!moving)}
        />
        {moving ? (
          <RoomMover room={room} storey={storey} onSave={save} />
        ) : (
          <Faint>Existing walls are grey, new ones the colour of timber. Press a room or a wall to open it.</Faint>
        )}
      </View>
      {here.map(({ point }) => (
        <Notice key={point.path + point.message} title={`${point.message}.`}>
          {null}
        </Notice>
      ))}
      <MeasureList measures={measures} drawing={drawing} />
      <StoreySettings storey={storey} onStorey={onStorey} />
      <DxfButton drawing={() => drawing} name={`plan of ${storey.name}`} />
    </>
  );
  if (wide) {
    return (
      <View className="min-h-0 flex-1 flex-row">
        <View className="min-w-0 flex-1 p-4">
          <Title level={2}>{`Plan of ${storey.name}`}</Title>
          {canvas}
        </View>
        <ScrollView className="w-[400px] grow-0 border-l border-rule" contentContainerClassName="gap-5 p-4">
          {lists}
        </ScrollView>
      </View>
    );
  }
  return (
    <ScrollView className="min-h-0 flex-1" contentContainerClassName="pb-10">
      <View className="border-b border-rule">{canvas}</View>
      <View className="gap-5 p-4">
        <Title level={2}>{`Plan of ${storey.name}`}</Title>
        {lists}
      </View>
    </ScrollView>
  );
}

import {
  figureSlots,
  formatArea,
  outlineOf,
  polygonArea,
  type Room,
  roomKind,
  type Surroundings,
} from "@wide-porch/core";
import { memo, useMemo } from "react";
import { View } from "react-native";
import { UsesPanel } from "../../assembly/UsesPanel";
import { Strong, Warning } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { ConfirmPart } from "../../measure/ConfirmPart";
import { FigureList } from "../../measure/FigureList";
import { MeasureList } from "../../measure/MeasureList";
import { PartName } from "../../measure/PartName";
import { useOpenFigure } from "../../measure/useOpenFigure";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";
import { CeilingPanel } from "./CeilingPanel";
import { PlacePanel } from "./PlacePanel";
import { SurfacesOfRoom } from "./SurfacesOfRoom";
import { WalkPanel } from "./WalkPanel";
import { WallTools } from "./WallTools";

type Props = {
  readonly room: Room;
  readonly around: Surroundings;
  readonly active: string | undefined;
  readonly hostId: string;
  readonly refusal: string | undefined;
  readonly onHost: (id: string) => void;
  readonly onChange: (room: Room) => boolean;
  readonly onAdded: (room: Room, path: string) => void;
  readonly onFigure: (path: string) => void;
};

/** All that a room's screen says beside the plan. */
export const RoomLists = memo(function RoomLists(props: Props) {
  const { room, around, active, hostId, refusal, onHost, onChange, onAdded, onFigure } = props;
  return (
    <>
      <PartName part={room} />
      <ConfirmPart partId={room.id} />
      <FloorLine room={room} />
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <WalkPanel room={room} onChange={onChange} onWalk={onAdded} onFigure={onFigure} />
      <WallTools
        room={room}
        shared={around.sharedOpenings}
        hostId={hostId}
        onHost={onHost}
        onChange={onChange}
        onAdded={onAdded}
      />
      <Figures room={room} around={around} active={active} onFigure={onFigure} />
      <CeilingPanel room={room} onChange={onChange} onAdded={onAdded} />
      <PlacePanel room={room} onChange={onChange} />
      <UsesPanel part={room} />
      <SurfacesOfRoom room={room} />
      <NotesAndPhotos part={room} />
    </>
  );
});

function FloorLine({ room }: { readonly room: Room }) {
  const { context } = useJob("context");
  const { polygon } = outlineOf(room);
  const words = polygon
    ? `${formatArea(polygonArea(polygon), context.system)} of floor`
    : "No area until the walk closes";
  return (
    <View role="status" aria-live="polite">
      <Strong testID="room-floor">{words}</Strong>
    </View>
  );
}

type FiguresProps = Pick<Props, "room" | "around" | "active" | "onFigure">;

function Figures({ room, around, active, onFigure }: FiguresProps) {
  const { context } = useJob("context");
  const openFigure = useOpenFigure(room, onFigure);
  const slots = useMemo(() => figureSlots(roomKind, room, context), [room, context]);
  const measures = useMemo(() => roomKind.measures(room, context, around), [room, context, around]);
  const drawing = useMemo(() => roomKind.draw(room, context, around), [room, context, around]);
  return (
    <>
      <FigureList slots={slots} activePath={active} onOpen={openFigure} title="Room" />
      <MeasureList measures={measures} drawing={drawing} />
    </>
  );
}

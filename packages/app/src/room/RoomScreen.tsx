import {
  enterDimension,
  formatArea,
  outlineOf,
  polygonArea,
  type Room,
  roomDimensions,
  roomKind,
  surroundingsOf,
  walkOn,
} from "@wide-porch/core";
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { View } from "react-native";
import { Strong, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { FigureList } from "../measure/FigureList";
import { MeasureList } from "../measure/MeasureList";
import { PartLayout } from "../measure/PartLayout";
import { PartName } from "../measure/PartName";
import { type Entered, TapePad } from "../measure/TapePad";
import { usePad } from "../measure/usePad";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { PlanCanvas } from "../plan/PlanCanvas";
import { newId } from "../sync/newId";
import { CeilingPanel } from "./CeilingPanel";
import { PlacePanel } from "./PlacePanel";
import { TurnChips } from "./TurnChips";
import { WalkLine } from "./WalkLine";
import { WalkPanel } from "./WalkPanel";
import { WallTools } from "./WallTools";

const PHONE_HEIGHT_PX = 300;

const describe = (room: Room): string => {
  const walls = room.runs.filter((run) => run.length.valueNm !== null).length;
  return `Plan of ${room.name}, inside measures: ${walls} walls, ${room.openings.length} openings`;
};

const runOf = (path: string | undefined): string | undefined => /^runs\.([^.]+)\.length$/.exec(path ?? "")?.[1];

/** One room: its plan, which draws itself as the walls are read, and all that is in it. */
export function RoomScreen({ part: room }: { readonly part: Room }) {
  const [figure, show] = usePad();
  const { context, savePart, readings, noteReading, plan } = useJob();
  const [hostId, setHost] = useState(room.runs[0]?.id ?? "");
  const [refusal, setRefusal] = useState<string>();
  const around = surroundingsOf(plan, room.id);
  const drawing = useMemo(() => roomKind.draw(room, context, around), [room, context, around]);
  const slots = useMemo(() => roomDimensions(room), [room]);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const latest = useRef(room);
  latest.current = room;

  const change = (next: Room): boolean => {
    const [problem] = roomKind.problems(next, context);
    setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
    if (!problem) savePart(next);
    return problem === undefined;
  };
  const changeAndOpen = (next: Room, path: string) => {
    if (change(next)) show(path);
  };
  const enter = (path: string, typed: string): Entered => {
    const now = latest.current;
    const { part, problem } = enterDimension(roomKind, now, path, typed, context);
    if (!problem) noteReading(typed.trim());
    const walking = !problem && !now.finished && runOf(path) === now.runs[now.runs.length - 1]?.id;
    if (!walking) {
      savePart(part);
      return { problem };
    }
    const nextId = newId().slice(0, 8);
    const walked = walkOn(part, nextId, context);
    savePart(walked);
    return { goTo: walked.finished ? "ceiling.height" : `runs.${nextId}.length` };
  };
  const openShape = (id: string) => {
    const face = outlineOf(room).faces.find((each) => each.id === id);
    const opening = room.openings.find((each) => each.id === id);
    const host = opening?.hostId ?? face?.hostId ?? face?.featureId;
    if (host) setHost(host);
  };
  const runId = runOf(active);
  const pad = active ? (
    <TapePad
      slots={slots}
      path={active}
      system={context.system}
      partName={room.name}
      readings={readings}
      onEnter={enter}
      onMove={show}
      onClose={() => show(undefined)}
      thenText={!room.finished && runId === room.runs[room.runs.length - 1]?.id ? "next wall" : undefined}
    >
      {runId ? <TurnChips room={room} runId={runId} onChange={change} /> : null}
      {runId ? (
        <WalkLine
          room={room}
          onDone={(done) => {
            change(done);
            show(undefined);
          }}
        />
      ) : null}
    </TapePad>
  ) : null;
  const lit = useMemo(() => litFor(room, active, hostId), [room, active, hostId]);
  return (
    <PartLayout
      phoneHeightPx={PHONE_HEIGHT_PX}
      drawing={(heightPx) => (
        <PlanCanvas
          drawing={drawing}
          description={describe(room)}
          heightPx={heightPx}
          activePath={active}
          litIds={lit}
          onFigure={show}
          onShape={openShape}
        />
      )}
      pad={pad}
      lists={
        <>
          <PartName part={room} />
          <FloorLine room={room} />
          {refusal ? <Warning role="alert">{refusal}</Warning> : null}
          <WalkPanel room={room} onChange={change} onWalk={changeAndOpen} onFigure={show} />
          <WallTools
            room={room}
            shared={around.sharedOpenings}
            hostId={hostId}
            onHost={setHost}
            onChange={change}
            onAdded={changeAndOpen}
          />
          <RoomLists room={room} active={active} onFigure={show} />
          <CeilingPanel room={room} onChange={change} onAdded={changeAndOpen} />
          <PlacePanel room={room} onChange={change} />
          <NotesAndPhotos part={room} />
        </>
      }
    />
  );
}

/** The wall that is being entered, or the one that things are put in. */
function litFor(room: Room, active: string | undefined, hostId: string): ReadonlySet<string> {
  const [group, id = ""] = (active ?? "").split(".");
  const opening = group === "openings" ? [id] : [];
  const host = group === "runs" || group === "features" ? id : active ? undefined : hostId;
  const faces = outlineOf(room).faces.filter((face) => (face.featureId ?? face.runId) === host);
  return new Set([...opening, ...faces.map((face) => face.id)]);
}

function FloorLine({ room }: { readonly room: Room }) {
  const { context } = useJob();
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

type ListsProps = {
  readonly room: Room;
  readonly active: string | undefined;
  readonly onFigure: (path: string) => void;
};

/** The long lists follow an entry when there is time: the plan and the pad come first. */
function RoomLists({ room: now, active, onFigure }: ListsProps) {
  const { context, plan } = useJob();
  const room = useDeferredValue(now);
  const around = surroundingsOf(plan, room.id);
  const slots = useMemo(() => roomDimensions(room), [room]);
  const measures = useMemo(() => roomKind.measures(room, context, around), [room, context, around]);
  const drawing = useMemo(() => roomKind.draw(room, context, around), [room, context, around]);
  return (
    <>
      <FigureList slots={slots} activePath={active} onOpen={onFigure} title="Room" />
      <MeasureList measures={measures} drawing={drawing} />
    </>
  );
}

import { enterFigure, figureSlots, outlineOf, type Room, roomKind, surroundingsOf, walkOn } from "@wide-porch/core";
import { useCallback, useMemo, useRef, useState } from "react";
import { useJob } from "../../job/JobContext";
import { useJobLater } from "../../job/useJobLater";
import { useLater } from "../../job/useLater";
import { PartLayout } from "../../measure/PartLayout";
import { type Entered, TapePad } from "../../measure/TapePad";
import { usePad } from "../../measure/usePad";
import { PlanCanvas } from "../../plan/PlanCanvas";
import { newId } from "../../sync/newId";
import { RoomLists } from "./RoomLists";
import { TurnChips } from "./TurnChips";
import { WalkLine } from "./WalkLine";

const PHONE_HEIGHT_PX = 300;

const describe = (room: Room): string => {
  const walls = room.runs.filter((run) => run.length.valueNm !== null).length;
  return `Plan of ${room.name}, inside measures: ${walls} walls, ${room.openings.length} openings`;
};

const runOf = (path: string | undefined): string | undefined => /^runs\.([^.]+)\.length$/.exec(path ?? "")?.[1];

/** One room: its plan, which draws itself as the walls are read, and all that is in it. */
export default function RoomScreen({ part: room }: { readonly part: Room }) {
  const [figure, show] = usePad();
  const { context, readings, savePart, noteReading } = useJob("context", "readings", "savePart", "noteReading");
  // What stands around the room does not answer an entry in it.
  const { plan } = useJobLater("plan");
  const [hostId, setHost] = useState(room.runs[0]?.id ?? "");
  const [refusal, setRefusal] = useState<string>();
  const around = useMemo(() => surroundingsOf(plan, room.id), [plan, room.id]);
  const drawing = useMemo(() => roomKind.draw(room, context, around), [room, context, around]);
  const slots = useMemo(() => figureSlots(roomKind, room, context).filter((slot) => !slot.typedOn), [room, context]);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const latest = useRef(room);
  latest.current = room;

  const change = useCallback(
    (next: Room): boolean => {
      const [problem] = roomKind.problems(next, context);
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      if (!problem) savePart(next);
      return problem === undefined;
    },
    [context, savePart],
  );
  const changeAndOpen = useCallback(
    (next: Room, path: string) => {
      if (change(next)) show(path);
    },
    [change, show],
  );
  const enter = useCallback(
    (path: string, typed: string): Entered => {
      const now = latest.current;
      const { part, problem } = enterFigure(roomKind, now, path, typed, context);
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
    },
    [context, noteReading, savePart],
  );
  const openShape = useCallback((id: string) => {
    const now = latest.current;
    const face = outlineOf(now).faces.find((each) => each.id === id);
    const opening = now.openings.find((each) => each.id === id);
    const host = opening?.hostId ?? face?.hostId ?? face?.featureId;
    if (host) setHost(host);
  }, []);
  const close = useCallback(() => show(undefined), [show]);
  const runId = runOf(active);
  const isWaiting = !room.finished && runId === room.runs[room.runs.length - 1]?.id;
  const pad = active ? (
    <TapePad
      slots={slots}
      path={active}
      system={context.system}
      partName={room.name}
      readings={readings}
      onEnter={enter}
      onMove={show}
      onClose={close}
      thenText={isWaiting ? "next wall" : undefined}
    >
      {runId ? <TurnChips room={room} runId={runId} onChange={change} /> : null}
      {runId && !room.finished ? (
        <WalkLine
          room={room}
          onDone={(done) => {
            change(done);
            close();
          }}
        />
      ) : null}
    </TapePad>
  ) : null;
  const lit = useMemo(() => litFor(room, active, hostId), [room, active, hostId]);
  // The plan and the pad answer an entry; the lists follow when there is time.
  const listed = useLater(room);
  const listedFigure = useLater(active);
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
        <RoomLists
          room={listed}
          around={around}
          active={listedFigure}
          hostId={hostId}
          refusal={refusal}
          onHost={setHost}
          onChange={change}
          onAdded={changeAndOpen}
          onFigure={show}
        />
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

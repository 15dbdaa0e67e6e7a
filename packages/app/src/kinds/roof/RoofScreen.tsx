import {
  ALONE,
  type Drawing,
  formOf,
  nearestRoofPoint,
  type Part,
  type PlanDrawing,
  type PlanShape,
  type Point,
  type Roof,
  type RoofPoint,
} from "@wide-porch/core";
import { useCallback, useMemo, useState } from "react";
import { SlotChoices } from "../../assembly/SlotChoices";
import { UsesPanel } from "../../assembly/UsesPanel";
import { Warning } from "../../components/Text";
import { useLatestCount } from "../../job/JobContext";
import { useJobLater } from "../../job/useJobLater";
import { BothWays } from "../../measure/BothWays";
import { ConfirmPart } from "../../measure/ConfirmPart";
import { FigureList } from "../../measure/FigureList";
import { LiveCount } from "../../measure/LiveCount";
import { MeasureList } from "../../measure/MeasureList";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { usePartFigures } from "../../measure/usePartFigures";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";
import { PlanCanvas } from "../../plan/PlanCanvas";
import { roofLive } from "../liveWords";
import { CheckDimension } from "./CheckDimension";
import { EdgesPanel } from "./EdgesPanel";
import { FeaturesPanel } from "./FeaturesPanel";
import { MeetingPanel } from "./MeetingPanel";
import { ShapePanel } from "./ShapePanel";
import { TimberList } from "./TimberList";
import { TryPitch } from "./TryPitch";

/** Changes of a roof; other kinds are left alone. */
export type RoofChange = (roof: Roof) => Roof;

/** A roof: its outline, how each edge ends, and all that is cut for it. */
export default function RoofScreen({ part: roof }: { readonly part: Roof }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(roof);
  const count = useLatestCount(roof.id);
  const [edgeId, setEdge] = useState<string>();
  const [points, setPoints] = useState<readonly RoofPoint[]>();
  const [refusal, setRefusal] = useState<string>();
  const { resolved } = useJobLater("resolved");
  // As it stands in its house: cut by what it meets.
  const inHouse = useMemo(() => {
    const found = resolved.find(({ id }) => id === roof.id);
    return found?.kind === roof.kind ? found : roof;
  }, [resolved, roof]);
  const plain = useMemo(() => kind.draw(inHouse, context, ALONE), [kind, inHouse, context]);
  const drawn = count?.drawing.kind === "plan" ? count.drawing : plain;
  const changeRoof = useCallback(
    (choose: RoofChange) => {
      const problem = change((now: Part) => (now.kind === roof.kind ? choose(now) : now));
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      return problem === undefined;
    },
    [change, roof.kind],
  );
  const pressed = (place: Point) => {
    const formed = formOf(inHouse);
    const found = formed.ok ? nearestRoofPoint(formed.form, place) : undefined;
    if (found) setPoints((now) => (now && now.length < 2 ? [...now, found] : [found]));
  };
  const lit = useMemo(() => new Set(slopesOf(drawn, featureOf(active) ?? edgeId)), [drawn, active, edgeId]);
  return (
    <PartLayout
      phoneHeightPx={300}
      drawing={
        drawn.kind === "plan"
          ? (heightPx) => (
              <PlanCanvas
                drawing={points ? withPoints(drawn, points) : drawn}
                description={`Plan of ${roof.name}: ${roof.edges.length} edges`}
                heightPx={heightPx}
                activePath={active}
                litIds={lit}
                onFigure={show}
                onPlace={points ? pressed : undefined}
              />
            )
          : undefined
      }
      pad={pad}
      lists={
        <>
          <PartName part={roof} />
          <ConfirmPart partId={roof.id} />
          <LiveCount partId={roof.id} say={roofLive} />
          <CheckDimension roof={inHouse} points={points} onPoints={setPoints} />
          {kind
            .openPoints(roof, context)
            .filter((point) => point.kind === "conflict")
            .map(({ message }) => (
              <Warning key={message} role="alert">
                {message}
              </Warning>
            ))}
          {refusal ? <Warning role="alert">{refusal}</Warning> : null}
          <ShapePanel roof={roof} slots={slots} active={active} onChange={changeRoof} onFigure={show} />
          <MeetingPanel roof={roof} slots={slots} active={active} onChange={changeRoof} onFigure={show} />
          <EdgesPanel
            roof={roof}
            slots={slots}
            active={active}
            chosen={edgeId}
            onChoose={setEdge}
            onChange={changeRoof}
            onFigure={show}
          />
          <FeaturesPanel roof={roof} slots={slots} active={active} onChange={changeRoof} onFigure={show} />
          <FigureList
            slots={slots.filter(({ path }) => !/^(edges|features|beside|courtyards)\./.test(path))}
            activePath={active}
            onOpen={show}
            title="The whole roof"
          />
          <TryPitch roof={roof} onChange={changeRoof} />
          <TimberList count={count} name={roof.name} />
          <MeasureList
            measures={kind.measures(inHouse, context, ALONE)}
            drawing={plain.kind === "plan" ? plain : undefined}
          />
          <BothWays part={roof} choice="panelsBy" />
          <SlotChoices part={roof} onChange={change} />
          <UsesPanel part={roof} />
          <NotesAndPhotos part={roof} />
        </>
      }
    />
  );
}

const MARK_NM = 120_000_000;

/** With the corners that were pressed marked, and the line between them. */
function withPoints(drawing: PlanDrawing, points: readonly RoofPoint[]): PlanDrawing {
  const marks = points.map(({ point: { xNm, yNm } }, index): PlanShape => {
    const corner = (x: number, y: number) => ({ xNm: xNm + x * MARK_NM, yNm: yNm + y * MARK_NM });
    const places = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
    return { id: `check-${index}`, role: "gap", points: places, closed: true };
  });
  const line: PlanShape = { id: "check", role: "walk", points: points.map(({ point }) => point), closed: false };
  return { ...drawing, shapes: [...drawing.shapes, ...marks, ...(points.length > 1 ? [line] : [])] };
}

const featureOf = (path: string | undefined): string | undefined => /^features\.([^.]+)\./.exec(path ?? "")?.[1];

/** What slopes up from an edge, or belongs to a feature, on the drawing. */
function slopesOf(drawing: Drawing, id: string | undefined): string[] {
  if (drawing.kind !== "plan" || id === undefined) return [];
  const own = new Set([id, ...["left", "right", "slope"].map((side) => `${id}-${side}`)]);
  return drawing.shapes.flatMap((shape) => {
    const [edge = ""] = shape.id.split(/[/.]/);
    return (shape.role === "slope" && own.has(edge)) || shape.id === id ? [shape.id] : [];
  });
}

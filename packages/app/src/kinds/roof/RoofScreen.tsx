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
import { memo, useCallback, useDeferredValue, useMemo, useState } from "react";
import { Warning } from "../../components/Text";
import { useLatestCount } from "../../job/JobContext";
import { useJobLater } from "../../job/useJobLater";
import { ConfirmPart } from "../../measure/ConfirmPart";
import { LiveCount } from "../../measure/LiveCount";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { usePartFigures } from "../../measure/usePartFigures";
import { PlanCanvas } from "../../plan/PlanCanvas";
import { roofLive } from "../liveWords";
import { CheckDimension } from "./CheckDimension";
import type { RoofChange } from "./panelProps";
import { RoofLists } from "./RoofLists";

const Plan = memo(PlanCanvas);

/** A roof: its outline, how each edge ends, and all that is cut for it. */
export default function RoofScreen({ part: roof }: { readonly part: Roof }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(roof);
  // What follows from a count is drawn after the line that says it.
  const later = useDeferredValue(useLatestCount(roof.id));
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
  const drawn = later?.drawing.kind === "plan" ? later.drawing : plain;
  const changeRoof = useCallback(
    (choose: RoofChange) => {
      const problem = change((now: Part) => (now.kind === roof.kind ? choose(now) : now));
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      return problem === undefined;
    },
    [change, roof.kind],
  );
  const pressed = useCallback(
    (place: Point) => {
      const formed = formOf(inHouse);
      const found = formed.ok ? nearestRoofPoint(formed.form, place) : undefined;
      if (found) setPoints((now) => (now && now.length < 2 ? [...now, found] : [found]));
    },
    [inHouse],
  );
  const marked = useMemo(() => (points && drawn.kind === "plan" ? withPoints(drawn, points) : drawn), [drawn, points]);
  const lit = useMemo(() => new Set(slopesOf(drawn, featureOf(active) ?? edgeId)), [drawn, active, edgeId]);
  return (
    <PartLayout
      phoneHeightPx={300}
      drawing={
        marked.kind === "plan"
          ? (heightPx) => (
              <Plan
                drawing={marked}
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
          <RoofLists
            roof={roof}
            inHouse={inHouse}
            plain={plain}
            slots={slots}
            active={active}
            edgeId={edgeId}
            count={later}
            onEdge={setEdge}
            onChange={changeRoof}
            onChoose={change}
            onFigure={show}
          />
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

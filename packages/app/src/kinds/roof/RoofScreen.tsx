import { ALONE, type Drawing, type Part, type Roof } from "@wide-porch/core";
import { useCallback, useMemo, useState } from "react";
import { SlotChoices } from "../../assembly/SlotChoices";
import { UsesPanel } from "../../assembly/UsesPanel";
import { Warning } from "../../components/Text";
import { useLatestCount } from "../../job/JobContext";
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
import { EdgesPanel } from "./EdgesPanel";
import { FeaturesPanel } from "./FeaturesPanel";
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
  const [refusal, setRefusal] = useState<string>();
  const plain = useMemo(() => kind.draw(roof, context, ALONE), [kind, roof, context]);
  const drawn = count?.drawing.kind === "plan" ? count.drawing : plain;
  const changeRoof = useCallback(
    (choose: RoofChange) => {
      const problem = change((now: Part) => (now.kind === roof.kind ? choose(now) : now));
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      return problem === undefined;
    },
    [change, roof.kind],
  );
  const lit = useMemo(() => new Set(slopesOf(drawn, featureOf(active) ?? edgeId)), [drawn, active, edgeId]);
  return (
    <PartLayout
      phoneHeightPx={300}
      drawing={
        drawn.kind === "plan"
          ? (heightPx) => (
              <PlanCanvas
                drawing={drawn}
                description={`Plan of ${roof.name}: ${roof.edges.length} edges`}
                heightPx={heightPx}
                activePath={active}
                litIds={lit}
                onFigure={show}
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
          {kind
            .openPoints(roof, context)
            .filter((point) => point.kind === "conflict")
            .map(({ message }) => (
              <Warning key={message} role="alert">
                {message}
              </Warning>
            ))}
          {refusal ? <Warning role="alert">{refusal}</Warning> : null}
          <ShapePanel roof={roof} onChange={changeRoof} />
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
            slots={slots.filter(({ path }) => !/^(edges|features)\./.test(path))}
            activePath={active}
            onOpen={show}
            title="The whole roof"
          />
          <TryPitch roof={roof} onChange={changeRoof} />
          <TimberList count={count} name={roof.name} />
          <MeasureList
            measures={kind.measures(roof, context, ALONE)}
            drawing={plain.kind === "plan" ? plain : undefined}
          />
          <SlotChoices part={roof} onChange={change} />
          <UsesPanel part={roof} />
          <NotesAndPhotos part={roof} />
        </>
      }
    />
  );
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

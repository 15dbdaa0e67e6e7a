import {
  type Dimension,
  inches,
  type Joisted,
  joistChoicesOf,
  layoutOnPage,
  measured,
  millimetres,
  movedFirst,
  type PlanDrawing,
  type PlanShape,
  type Point,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { useJob } from "../job/JobContext";
import { PlanCanvas } from "../plan/PlanCanvas";

type Props = {
  readonly drawing: PlanDrawing;
  readonly part: Joisted;
  readonly heightPx: number;
  readonly active: string | undefined;
  /** While the layout is drawn over the page. */
  readonly moving: boolean;
  readonly onFigure: (path: string) => void;
  readonly onMoved: (first: Dimension) => void;
};

/** The plan with every joist; while they are moved, their layout follows the finger and is counted when it is let go. */
export function JoistPlan({ drawing, part, heightPx, active, moving, onFigure, onMoved }: Props) {
  const { context } = useJob("context");
  const [drag, setDrag] = useState<Point>();
  const choices = joistChoicesOf(part, context.system);
  const stepNm = context.system === "imperial" ? inches(0.25) : millimetres(5);
  const first = drag && movedFirst(part, choices, drag, stepNm);
  const shown = useMemo((): PlanDrawing => {
    if (!moving) return drawing;
    const at = first === undefined ? part : { ...part, firstJoist: measured(first, "") };
    const lines = layoutOnPage(at, choices).map((points, index): PlanShape => {
      return { id: `layout-${index + 1}`, role: "walk", points, closed: false };
    });
    // What lies where it lay before would only be in the way.
    const rest = drawing.shapes.filter(({ role }) => first === undefined || (role !== "timber" && role !== "metal"));
    return { ...drawing, shapes: [...rest, ...lines] };
  }, [drawing, moving, first, part, choices]);
  return (
    <PlanCanvas
      drawing={shown}
      description={`Plan of ${part.name}`}
      heightPx={heightPx}
      activePath={active}
      onFigure={moving ? undefined : onFigure}
      onDrag={
        moving
          ? (by, done) => {
              if (!done) {
                setDrag(by);
                return;
              }
              setDrag(undefined);
              onMoved(measured(movedFirst(part, choices, by, stepNm), ""));
            }
          : undefined
      }
    />
  );
}

import {
  type Dimension,
  type FloorOpening,
  inches,
  type Joisted,
  joistChoicesOf,
  layoutOnPage,
  measured,
  millimetres,
  movedFirst,
  movedOpening,
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
  /** What is drawn over the page with a finger. */
  readonly moving: Moving | undefined;
  readonly onFigure: (path: string) => void;
  readonly onMoved: (first: Dimension) => void;
  readonly onOpeningMoved: (opening: FloorOpening) => void;
};

/** The layout of the joists, or one opening. */
export type Moving = { readonly what: "joists" } | { readonly what: "opening"; readonly id: string };

/** What lies where it lay before, and would only be in the way. */
const IN_THE_WAY: ReadonlySet<PlanShape["role"]> = new Set(["timber", "metal", "board"]);

/** The plan with every joist; what is moved follows the finger, and is counted when it is let go. */
export function JoistPlan(props: Props) {
  const { drawing, part, heightPx, active, moving, onFigure, onMoved, onOpeningMoved } = props;
  const { context } = useJob("context");
  const [drag, setDrag] = useState<Point>();
  const choices = joistChoicesOf(part, context.system);
  const stepNm = context.system === "imperial" ? inches(0.25) : millimetres(5);
  const opening = moving?.what === "opening" ? part.openings.find(({ id }) => id === moving.id) : undefined;
  const first = moving?.what === "joists" && drag ? movedFirst(part, choices, drag, stepNm) : undefined;
  const shown = useMemo((): PlanDrawing => {
    if (!moving) return drawing;
    const rest = drawing.shapes.filter(({ role }) => !drag || !IN_THE_WAY.has(role));
    if (moving.what === "opening") {
      const by = drag ?? { xNm: 0, yNm: 0 };
      const shapes = rest.map((shape): PlanShape => {
        if (shape.id !== moving.id) return shape;
        return {
          ...shape,
          role: "walk",
          points: shape.points.map(({ xNm, yNm }) => ({ xNm: xNm + by.xNm, yNm: yNm + by.yNm })),
        };
      });
      return { ...drawing, shapes, labels: drag ? [] : drawing.labels };
    }
    const at = first === undefined ? part : { ...part, firstJoist: measured(first, "") };
    const lines = layoutOnPage(at, choices).map((points, index): PlanShape => {
      return { id: `layout-${index + 1}`, role: "walk", points, closed: false };
    });
    return { ...drawing, shapes: [...rest, ...lines] };
  }, [drawing, moving, drag, first, part, choices]);
  const letGo = (by: Point) => {
    setDrag(undefined);
    if (moving?.what === "joists") onMoved(measured(movedFirst(part, choices, by, stepNm), ""));
    else if (opening) onOpeningMoved(movedOpening(part, opening, by, stepNm));
  };
  return (
    <PlanCanvas
      drawing={shown}
      description={`Plan of ${part.name}`}
      heightPx={heightPx}
      activePath={active}
      onFigure={moving ? undefined : onFigure}
      onDrag={moving ? (by, done) => (done ? letGo(by) : setDrag(by)) : undefined}
    />
  );
}

import type { Drawing } from "@wide-porch/core";
import { PlanCanvas } from "../plan/PlanCanvas";
import { DrawingCanvas } from "./DrawingCanvas";

type Props = {
  readonly drawing: Drawing;
  readonly description: string;
  readonly heightPx: number;
  readonly litIds?: ReadonlySet<string>;
  readonly showFigures?: boolean;
  /** Of an elevation: the figure that is being typed, and what opens one. */
  readonly activePath?: string | undefined;
  readonly onDimension?: ((path: string) => void) | undefined;
};

/** A drawing of whichever kind, to look at; nothing for what has none. */
export function AnyDrawing({ drawing, description, heightPx, litIds, showFigures = true, ...figures }: Props) {
  if (drawing.kind === "none") return null;
  if (drawing.kind === "plan") {
    return (
      <PlanCanvas
        drawing={showFigures ? drawing : { ...drawing, labels: [] }}
        description={description}
        heightPx={heightPx}
        litIds={litIds}
        showFigures={showFigures}
      />
    );
  }
  return (
    <DrawingCanvas
      drawing={drawing}
      description={description}
      heightPx={heightPx}
      {...(litIds ? { litIds } : {})}
      showDimensions={showFigures}
      {...figures}
    />
  );
}

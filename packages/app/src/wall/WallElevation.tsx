import {
  ALONE,
  type ElevationDrawing,
  formatLength,
  kindOf,
  type PartContext,
  type PartCount,
  settlePart,
  type WallPart,
} from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { memo, useCallback, useMemo, useRef } from "react";
import { DrawingCanvas } from "../components/DrawingCanvas";
import { useJob, useLatestCount } from "../job/JobContext";
import { useLater } from "../job/useLater";
import { useMarks } from "../measure/useMarks";
import type { Rules } from "../worker/reckon.worker";

/** A wall is always seen square on. */
const NOTHING_DRAWN: ElevationDrawing = { kind: "elevation", widthNm: 0, heightNm: 0, rectangles: [], dimensions: [] };

/** A wall by its figures alone. */
export function measuredElevation(wall: WallPart, context: PartContext, rules: Rules): ElevationDrawing {
  const drawing = kindOf(wall).draw(settlePart(wall, context.system, rules), context, ALONE);
  return drawing.kind === "elevation" ? drawing : NOTHING_DRAWN;
}

/** What is drawn of a wall: its figures of this instant, and the pieces of its last count, which come a moment later. */
export function elevationOf(measured: ElevationDrawing, count: PartCount | undefined): ElevationDrawing {
  const drawn = count?.drawing;
  return drawn?.kind === "elevation" ? { ...drawn, dimensions: measured.dimensions } : measured;
}

const describe = (wall: WallPart, system: "imperial" | "metric"): string => {
  const length =
    wall.length.valueNm === null ? "not measured yet" : `${formatLength(wall.length.valueNm, system)} long`;
  return `Elevation of ${wall.name}: ${length}, ${formatLength(wall.height.valueNm ?? 0, system)} high, ${wall.openings.length} openings`;
};

type Props = {
  /** As it stands on the plan. */
  readonly wall: WallPart;
  readonly heightPx: number;
  readonly activePath: string | undefined;
  readonly onFigure: (path: string) => void;
  /** Whether the marks of the cut list are on it. */
  readonly marked: boolean;
};

/** A wall square on. A press on a figure opens it, a press on a piece the line it is counted in. */
export const WallElevation = memo(function WallElevation({ wall, heightPx, activePath, onFigure, marked }: Props) {
  const { context, rules, jobId } = useJob("context", "rules", "jobId");
  const router = useRouter();
  const count = useLatestCount(wall.id);
  // The line that answers an entry is not kept waiting by the pieces.
  const counted = useLater(count);
  const measured = useMemo(() => measuredElevation(wall, context, rules), [wall, context, rules]);
  const drawing = useMemo(() => elevationOf(measured, counted), [measured, counted]);
  const latest = useRef(count);
  latest.current = count;
  const openLine = useCallback(
    (id: string) => {
      const line = latest.current?.lines.find((each) => each.pieceIds.includes(id));
      if (line) router.push(`/jobs/${jobId}/count?line=${encodeURIComponent(line.id)}` as Href);
    },
    [router, jobId],
  );
  const marks = useMarks(wall.id, marked);
  return (
    <DrawingCanvas
      drawing={drawing}
      description={describe(wall, context.system)}
      heightPx={heightPx}
      activePath={activePath}
      onDimension={onFigure}
      onPiece={openLine}
      marks={marks}
    />
  );
});

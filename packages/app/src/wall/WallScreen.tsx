import {
  ALONE,
  type ElevationDrawing,
  formatLength,
  kindOf,
  type Part,
  type PartCount,
  type Problem,
  resolveWall,
  settlePart,
  type Wall,
  type WallPart,
} from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { type PropsWithChildren, useCallback, useMemo, useRef, useState } from "react";
import { SlotChoices } from "../assembly/SlotChoices";
import { UsesPanel } from "../assembly/UsesPanel";
import { Button } from "../components/Button";
import { DrawingCanvas } from "../components/DrawingCanvas";
import { DxfButton } from "../export/DxfButton";
import { useJob } from "../job/JobContext";
import { ConfirmPart } from "../measure/ConfirmPart";
import { FigureList } from "../measure/FigureList";
import { LiveCount } from "../measure/LiveCount";
import { PartLayout } from "../measure/PartLayout";
import { PartName } from "../measure/PartName";
import { PartPad } from "../measure/PartPad";
import { useMarks } from "../measure/useMarks";
import { useOpenFigure } from "../measure/useOpenFigure";
import { usePad } from "../measure/usePad";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { OpeningButtons } from "./OpeningButtons";
import { WallOnPlanNotes } from "./WallOnPlanNotes";
import { WallShape } from "./WallShape";

const describe = (wall: WallPart, system: "imperial" | "metric"): string => {
  const length =
    wall.length.valueNm === null ? "not measured yet" : `${formatLength(wall.length.valueNm, system)} long`;
  return `Elevation of ${wall.name}: ${length}, ${formatLength(wall.height.valueNm ?? 0, system)} high, ${wall.openings.length} openings`;
};

/** A wall is always seen square on. */
const NOTHING_DRAWN: ElevationDrawing = { kind: "elevation", widthNm: 0, heightNm: 0, rectangles: [], dimensions: [] };

type Props<W> = PropsWithChildren<{
  readonly part: W;
  /** What it comes to, in one line. */
  readonly say: (count: PartCount) => string;
}>;

/** One wall of any material: its elevation, whose figures are the inputs, and what it is made of. On the plan they come from the rooms. */
export function WallScreen<W extends WallPart>({ part, say, children }: Props<W>) {
  const kind = kindOf(part);
  const router = useRouter();
  const [figure, show] = usePad();
  const { jobId, context, rules, savePart, reckoning, plan } = useJob();
  const wall = useMemo(() => resolveWall(part, plan), [part, plan]);
  const slots = useMemo(() => kind.dimensions(wall), [kind, wall]);
  const own = useMemo(() => slots.filter((slot) => !slot.typedOn), [slots]);
  const active = own.some((slot) => slot.path === figure) ? figure : undefined;

  const latest = useRef({ part, wall });
  latest.current = { part, wall };
  const change = useCallback(
    (change: Partial<Wall> | ((now: Wall) => Partial<Wall>)): Problem | undefined => {
      const now = latest.current;
      const changes = typeof change === "function" ? change(now.wall) : change;
      const settled = settlePart({ ...now.wall, ...changes }, context.system, rules);
      const problem = kind.problems(settled, context)[0];
      if (!problem) savePart({ ...now.part, ...changes });
      return problem;
    },
    [kind, context, rules, savePart],
  );
  const choose = useCallback(
    (chosen: (now: Part) => Part): Problem | undefined => {
      const { wall: standing, part: entered } = latest.current;
      const settled = settlePart(chosen(standing), context.system, rules);
      const problem = kindOf(settled).problems(settled, context)[0];
      if (!problem) savePart(chosen(entered));
      return problem;
    },
    [context, rules, savePart],
  );
  const openFigure = useOpenFigure(wall, show);
  const count = reckoning?.counts.find((each) => each.partId === wall.id);
  const settled = useMemo(() => settlePart(wall, context.system, rules), [wall, context.system, rules]);
  const measured = kind.draw(settled, context, ALONE);
  // Pieces come from the worker a moment later; the figures are this instant's.
  const drawing =
    count?.drawing.kind === "elevation" && measured.kind === "elevation"
      ? { ...count.drawing, dimensions: measured.dimensions }
      : measured;
  const latestCount = useRef(count);
  latestCount.current = count;
  const openLine = useCallback(
    (id: string) => {
      const line = latestCount.current?.lines.find((each) => each.pieceIds.includes(id));
      if (line) router.push(`/jobs/${jobId}/count?line=${encodeURIComponent(line.id)}` as Href);
    },
    [router, jobId],
  );
  const [marked, setMarked] = useState(false);
  const marks = useMarks(part.id, marked);
  const lists = (
    <>
      <PartName part={part} />
      <ConfirmPart partId={part.id} />
      <LiveCount partId={part.id} say={say} />
      {part.plan ? <WallOnPlanNotes part={part} wall={wall} /> : null}
      <FigureList slots={slots} activePath={active} onOpen={openFigure} title="Wall" />
      {part.plan ? null : (
        <OpeningButtons wall={part} onChange={change} onAdded={(id) => show(`openings.${id}.position`)} />
      )}
      <SlotChoices part={wall} onChange={choose} />
      {children}
      <WallShape wall={wall} onChange={change} />
      <UsesPanel part={part} />
      <Button
        label={marked ? "Hide the marks of the cut list" : "Show the marks of the cut list"}
        kind="plain"
        onPress={() => setMarked(!marked)}
      />
      <DxfButton drawing={drawing} name={`elevation of ${wall.name}`} />
      <NotesAndPhotos part={part} />
    </>
  );
  const pad = active ? <PartPad part={part} slots={own} path={active} onMove={show} /> : null;
  return (
    <PartLayout
      drawing={(heightPx) => (
        <DrawingCanvas
          drawing={drawing.kind === "elevation" ? drawing : NOTHING_DRAWN}
          description={describe(wall, context.system)}
          heightPx={heightPx}
          activePath={active}
          onDimension={openFigure}
          onPiece={openLine}
          marks={marks}
        />
      )}
      lists={lists}
      pad={pad}
    />
  );
}

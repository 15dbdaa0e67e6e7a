import {
  figureSlots,
  kindOf,
  type Part,
  type PartCount,
  type Problem,
  resolveWall,
  settlePart,
  type Wall,
  type WallPart,
} from "@wide-porch/core";
import { type PropsWithChildren, useCallback, useMemo, useRef, useState } from "react";
import { SlotChoices } from "../assembly/SlotChoices";
import { UsesPanel } from "../assembly/UsesPanel";
import { Button } from "../components/Button";
import { DxfButton } from "../export/DxfButton";
import { useJob, useJobValue, useLatestCount } from "../job/JobContext";
import { useLater } from "../job/useLater";
import { ConfirmPart } from "../measure/ConfirmPart";
import { FigureList } from "../measure/FigureList";
import { LiveCount } from "../measure/LiveCount";
import { PartLayout } from "../measure/PartLayout";
import { PartName } from "../measure/PartName";
import { PartPad } from "../measure/PartPad";
import { useOpenFigure } from "../measure/useOpenFigure";
import { usePad } from "../measure/usePad";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { OpeningButtons } from "./OpeningButtons";
import { elevationOf, measuredElevation, WallElevation } from "./WallElevation";
import { WallOnPlanNotes } from "./WallOnPlanNotes";
import { WallShape } from "./WallShape";

type Props<W> = PropsWithChildren<{
  readonly part: W;
  /** What it comes to, in one line. */
  readonly say: (count: PartCount) => string;
}>;

/** One wall of any material: its elevation, whose figures are the inputs, and what it is made of. On the plan they come from the rooms. */
export function WallScreen<W extends WallPart>({ part, say, children }: Props<W>) {
  const kind = kindOf(part);
  const [figure, show] = usePad();
  const { context, rules, savePart } = useJob("context", "rules", "savePart");
  // A wall by itself takes nothing from the plan, and does not wait for it.
  const plan = useJobValue((job) => (part.plan ? job.plan : undefined));
  const wall = useMemo(() => (plan ? resolveWall(part, plan) : part), [part, plan]);
  const slots = useMemo(
    () => figureSlots(kind, settlePart(wall, context.system, rules), context),
    [kind, wall, context, rules],
  );
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
  const [marked, setMarked] = useState(false);
  // The pad and the line that is counted answer an entry; the drawing and the lists follow as soon as there is time.
  const [listed, listedWall, listedFigure] = useLater(
    useMemo(() => [part, wall, active] as const, [part, wall, active]),
  );
  const lists = useMemo(
    () => (
      <WallLists
        part={listed}
        wall={listedWall}
        say={say}
        active={listedFigure}
        onFigure={openFigure}
        onAdded={show}
        onChange={change}
        onChoose={choose}
        marked={marked}
        onMarked={setMarked}
      >
        {children}
      </WallLists>
    ),
    [listed, listedWall, say, listedFigure, openFigure, show, change, choose, marked, children],
  );
  const pad = active ? <PartPad part={part} slots={own} path={active} onMove={show} /> : null;
  return (
    <PartLayout
      drawing={(heightPx) => (
        <WallElevation
          wall={listedWall}
          heightPx={heightPx}
          activePath={listedFigure}
          onFigure={openFigure}
          marked={marked}
        />
      )}
      lists={lists}
      pad={pad}
    />
  );
}

type ListsProps = PropsWithChildren<{
  /** As it was entered, and as it stands on the plan. */
  readonly part: WallPart;
  readonly wall: WallPart;
  readonly say: (count: PartCount) => string;
  readonly active: string | undefined;
  readonly onFigure: (path: string) => void;
  readonly onAdded: (path: string) => void;
  readonly onChange: (change: Partial<Wall> | ((now: Wall) => Partial<Wall>)) => Problem | undefined;
  readonly onChoose: (chosen: (now: Part) => Part) => Problem | undefined;
  readonly marked: boolean;
  readonly onMarked: (marked: boolean) => void;
}>;

/** All that a wall's screen says beside the drawing. */
function WallLists({ part, wall, active, onFigure, onChange, marked, onMarked, children, ...rest }: ListsProps) {
  const { context, rules } = useJob("context", "rules");
  const slots = useMemo(
    () => figureSlots(kindOf(wall), settlePart(wall, context.system, rules), context),
    [wall, context, rules],
  );
  return (
    <>
      <PartName part={part} />
      <ConfirmPart partId={part.id} />
      <LiveCount partId={part.id} say={rest.say} />
      {part.plan ? <WallOnPlanNotes part={part} wall={wall} /> : null}
      <FigureList slots={slots} activePath={active} onOpen={onFigure} title="Wall" />
      {part.plan ? null : (
        <OpeningButtons wall={part} onChange={onChange} onAdded={(id) => rest.onAdded(`openings.${id}.position`)} />
      )}
      <SlotChoices part={wall} onChange={rest.onChoose} />
      {children}
      <WallShape wall={wall} turnsCorners={kindOf(wall).wall?.turnsCorners === true} onChange={onChange} />
      <UsesPanel part={part} />
      <Button
        label={marked ? "Hide the marks of the cut list" : "Show the marks of the cut list"}
        kind="plain"
        onPress={() => onMarked(!marked)}
      />
      <WallDxf wall={wall} />
      <NotesAndPhotos part={part} />
    </>
  );
}

/** The elevation as a file, of the wall as it is when it is asked for. */
function WallDxf({ wall }: { readonly wall: WallPart }) {
  const { context, rules } = useJob("context", "rules");
  const count = useLater(useLatestCount(wall.id));
  const drawing = () => elevationOf(measuredElevation(wall, context, rules), count);
  return <DxfButton drawing={drawing} name={`elevation of ${wall.name}`} />;
}

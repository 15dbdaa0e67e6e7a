import { ALONE, type Drawing, type ElevationDrawing, type GroundPart, kindOf, settlePart } from "@wide-porch/core";
import { type ReactNode, useDeferredValue, useMemo, useState } from "react";
import { View } from "react-native";
import { AnyDrawing } from "../components/AnyDrawing";
import { Choice } from "../components/Choice";
import { Warning } from "../components/Text";
import { useJob, useLatestCount } from "../job/JobContext";
import { FigureList } from "../measure/FigureList";
import { PartFrame } from "../measure/PartFrame";
import type { usePartFigures } from "../measure/usePartFigures";
import { PlanCanvas } from "../plan/PlanCanvas";
import { BarSchedule } from "./BarSchedule";
import { HowItIsDone } from "./HowItIsDone";
import { LayersList } from "./LayersList";
import { groundLive } from "./liveWords";

const VIEWS = [
  { value: "plan", label: "Plan" },
  { value: "section", label: "Section" },
] as const;

type Figures = Omit<ReturnType<typeof usePartFigures<GroundPart>>, "kind">;

type Props = {
  readonly part: GroundPart;
  readonly figures: Figures;
  readonly section: ElevationDrawing | undefined;
  /** Why the last change could not be made. */
  readonly refusal: string | undefined;
  /** What of its figures stands in lists of its own. */
  readonly elsewhere?: RegExp;
  /** What is particular to the kind, over its figures. */
  readonly panels: ReactNode;
  /** How often it is made. */
  readonly times?: number;
};

/** Something in the ground: its plan and its section, its figures, what lies under it, its steel, and how it is done. */
export function GroundScreen({ part, figures, section, refusal, elsewhere, panels, times = 1 }: Props) {
  const { context, slots, active, show, change, pad } = figures;
  const kind = kindOf<GroundPart>(part);
  const [view, setView] = useState<(typeof VIEWS)[number]["value"]>("plan");
  const count = useDeferredValue(useLatestCount(part.id));
  const plain = kind.draw(part, context, ALONE);
  const drawn = count && count.drawing.kind === plain.kind ? count.drawing : plain;
  const plan = drawn.kind === "plan" ? drawn : undefined;
  const { rules } = useJob("rules");
  const live = useMemo(() => groundLive(context.system), [context.system]);
  // A figure of the section is typed where it is seen.
  const inSection = section?.dimensions.some(({ path }) => path === active) ?? false;
  const shown: Drawing | undefined = plan && view === "plan" && !inSection ? plan : (section ?? plan);
  return (
    <PartFrame
      part={part}
      phoneHeightPx={300}
      drawing={
        shown
          ? (heightPx) => <Shown drawing={shown} name={part.name} heightPx={heightPx} active={active} onFigure={show} />
          : undefined
      }
      pad={pad}
      views={plan && section ? <Choice label="Shown" options={VIEWS} value={view} onChange={setView} /> : null}
      built={{ say: live, onChange: change }}
      measures={kind.measures(settlePart(part, context.system, rules), context, ALONE)}
      measuredOn={plan}
    >
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      {panels}
      <FigureList
        slots={elsewhere ? slots.filter(({ path }) => !elsewhere.test(path)) : slots}
        activePath={active}
        onOpen={show}
        title={kind.label}
        told={count?.problems}
      />
      <LayersList part={part} />
      <HowItIsDone part={part} onChange={change} />
      <BarSchedule count={count} times={times} />
    </PartFrame>
  );
}

type ShownProps = {
  readonly drawing: Drawing;
  readonly name: string;
  readonly heightPx: number;
  readonly active: string | undefined;
  readonly onFigure: (path: string) => void;
};

function Shown({ drawing, name, heightPx, active, onFigure }: ShownProps) {
  if (drawing.kind === "plan")
    return (
      <PlanCanvas
        drawing={drawing}
        description={`Plan of ${name}`}
        heightPx={heightPx}
        activePath={active}
        onFigure={onFigure}
      />
    );
  return (
    <View>
      <AnyDrawing
        drawing={drawing}
        description={`Section of ${name}`}
        heightPx={heightPx}
        activePath={active}
        onDimension={onFigure}
      />
    </View>
  );
}

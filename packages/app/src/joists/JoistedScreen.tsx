import {
  ALONE,
  type FloorOpening,
  isJoistedPart,
  type Joisted,
  type JoistedPart,
  kindOf,
  type Part,
  resolveJoisted,
  settlePart,
} from "@wide-porch/core";
import { type ReactNode, useCallback, useDeferredValue, useMemo, useState } from "react";
import { View } from "react-native";
import { Warning } from "../components/Text";
import { DxfButton } from "../export/DxfButton";
import { useJob, useLatestCount } from "../job/JobContext";
import { useJobLater } from "../job/useJobLater";
import { FigureList } from "../measure/FigureList";
import { PartFrame } from "../measure/PartFrame";
import { usePartFigures } from "../measure/usePartFigures";
import { asItLies, type JoistPanelProps } from "./changes";
import { FixingsPanel } from "./FixingsPanel";
import { JoistPlan, type Moving } from "./JoistPlan";
import { joistsLive } from "./liveWords";
import { MovePanel } from "./MovePanel";
import { OpeningsPanel } from "./OpeningsPanel";
import { OutlinePanel } from "./OutlinePanel";
import { PanelsPanel } from "./PanelsPanel";
import { SpotsPanel } from "./SpotsPanel";
import { SupportsPanel } from "./SupportsPanel";

/** What has lists of its own. */
const ELSEWHERE = /^(edges|openings|supports|doubled|spots)\.|^(firstJoist|panelShift|rowShift|sideFrom)$/;

type Props = {
  readonly part: JoistedPart;
  /** What of its figures stands in lists of the kind's own. */
  readonly elsewhere?: RegExp;
  /** The openings that such a part has. */
  readonly openingKinds?: readonly FloorOpening["kind"][];
  /** What such a part does not ask for. */
  readonly without?: readonly ("bearing" | "supports" | "doubled" | "panels")[];
  /** What is particular to the kind beneath its outline, and beneath its panels. */
  readonly sides?: (props: JoistPanelProps & { readonly settled: JoistedPart }) => ReactNode;
  readonly more?: (props: JoistPanelProps & { readonly settled: JoistedPart }) => ReactNode;
};

/** Something of joists: its plan with every one of them, its outline, what goes through it and what carries it. */
export function JoistedScreen({ part: entered, elsewhere, openingKinds, without = [], sides, more }: Props) {
  const { plan } = useJobLater("plan");
  // A floor that goes along with the plan is changed as it lies there now.
  const part = useMemo(() => asItLies(entered, plan), [entered, plan]);
  const { context, slots: unsettled, active, show, change, pad } = usePartFigures<JoistedPart>(part);
  const { rules } = useJob("rules");
  const kind = kindOf(part);
  const settled = useMemo(
    () => settlePart(resolveJoisted(part, plan), context.system, rules),
    [part, plan, context.system, rules],
  );
  // What follows the choices is shown as they are settled.
  const slots = useMemo(() => {
    const by = new Map(kind.dimensions(settled, context).map((each) => [each.path, each.dimension]));
    return unsettled.map((slot) => {
      const now = by.get(slot.path);
      return now && slot.figure.value === null
        ? { ...slot, figure: { ...slot.figure, value: now.valueNm, assumed: now.assumed } }
        : slot;
    });
  }, [unsettled, kind, settled, context]);
  const count = useDeferredValue(useLatestCount(part.id));
  const [refusal, setRefusal] = useState<string>();
  const [moving, setMoving] = useState<Moving>();
  const changeIt = useCallback(
    (choose: (now: JoistedPart) => JoistedPart): boolean => {
      const problem = change((now: Part) => (isJoistedPart(now) ? choose(now) : now));
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      return problem === undefined;
    },
    [change],
  );
  const plain = kind.draw(settled, context, ALONE);
  const drawn = count && count.drawing.kind === plain.kind ? count.drawing : plain;
  const props = { part, slots, active, onChange: changeIt, onFigure: show };
  const told = count?.problems;
  const lone = slots.filter(
    ({ path }) =>
      !ELSEWHERE.test(path) && !elsewhere?.test(path) && !(without.includes("supports") && path === "standing"),
  );
  return (
    <PartFrame
      part={part}
      phoneHeightPx={300}
      drawing={
        drawn.kind === "plan"
          ? (heightPx) => (
              <JoistPlan
                drawing={drawn}
                part={settled}
                heightPx={heightPx}
                active={active}
                moving={moving}
                onFigure={show}
                onOpeningMoved={(opening) =>
                  changeIt((now) => ({
                    ...now,
                    openings: now.openings.map((each) => (each.id === opening.id ? opening : each)),
                  }))
                }
                onMoved={(firstJoist) => changeIt((now) => ({ ...now, firstJoist }))}
              />
            )
          : undefined
      }
      pad={pad}
      built={{ say: joistsLive, onChange: change }}
      measures={kind.measures(settled, context, ALONE)}
      measuredOn={drawn.kind === "plan" ? drawn : undefined}
      overChoices={
        <View className="flex-row">
          <DxfButton drawing={() => drawn} name={`plan of ${part.name}`} />
        </View>
      }
    >
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <MovePanel {...props} told={told} moving={moving} onMoving={setMoving} />
      <OutlinePanel {...props} found={settled as Joisted} bearing={!without.includes("bearing")} />
      {sides?.({ ...props, settled })}
      <OpeningsPanel {...props} told={told} kinds={openingKinds} moving={moving} onMoving={setMoving} />
      {without.includes("supports") ? null : (
        <>
          <SupportsPanel {...props} told={told} doubles={!without.includes("doubled")} />
          <SpotsPanel {...props} told={told} />
        </>
      )}
      {without.includes("panels") ? null : <PanelsPanel {...props} told={told} />}
      {more?.({ ...props, settled })}
      <FixingsPanel lines={count?.lines} />
      <FigureList slots={lone} activePath={active} onOpen={show} title={kind.label} told={told} />
    </PartFrame>
  );
}

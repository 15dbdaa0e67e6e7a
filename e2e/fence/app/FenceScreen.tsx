import { ALONE, kindOf, type Part, type PartCount, settlePart } from "@wide-porch/core";
import { useCallback, useRef } from "react";
import { SlotChoices } from "../../assembly/SlotChoices";
import { AnyDrawing } from "../../components/AnyDrawing";
import { useJob, useLatestCount } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { LiveCount } from "../../measure/LiveCount";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { PartPad } from "../../measure/PartPad";
import { usePad } from "../../measure/usePad";
import type { Fence } from "./index";

const say = ({ lines }: PartCount): string => `${lines.find((line) => line.rule === "posts")?.quantity ?? 0} posts`;

export default function FenceScreen({ part }: { readonly part: Fence }) {
  const { context, rules, savePart } = useJob("context", "rules", "savePart");
  const [figure, show] = usePad();
  const kind = kindOf(part);
  const slots = kind.dimensions(part);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const latest = useRef(part);
  latest.current = part;
  const change = useCallback(
    (choose: (now: Part) => Part) => {
      const changed = choose(latest.current);
      const problem = kindOf(changed).problems(settlePart(changed, context.system, rules), context)[0];
      if (!problem) savePart(changed);
      return problem;
    },
    [context, rules, savePart],
  );
  const drawing = useLatestCount(part.id)?.drawing ?? kind.draw(part, context, ALONE);
  return (
    <PartLayout
      drawing={(heightPx) => (
        <AnyDrawing
          drawing={drawing}
          description={`Elevation of ${part.name}`}
          heightPx={heightPx}
          activePath={active}
          onDimension={show}
        />
      )}
      pad={active ? <PartPad part={part} slots={slots} path={active} onMove={show} /> : null}
      lists={
        <>
          <PartName part={part} />
          <LiveCount partId={part.id} say={say} />
          <FigureList slots={slots} activePath={active} onOpen={show} title="Fence" />
          <SlotChoices part={part} onChange={change} />
        </>
      }
    />
  );
}

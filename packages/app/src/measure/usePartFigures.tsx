import { figureSlots, kindOf, type Part, type Problem, settlePart } from "@wide-porch/core";
import { type ReactNode, useCallback, useMemo, useRef } from "react";
import { useJob } from "../job/JobContext";
import { PartPad } from "./PartPad";
import { usePad } from "./usePad";

/** The figures of a part that are typed on its own screen: the pad over them, and a choice made of the part as it stands this instant. */
export function usePartFigures<P extends Part>(part: P) {
  const { context, rules, savePart } = useJob("context", "rules", "savePart");
  const [figure, show] = usePad();
  const kind = kindOf(part);
  const slots = useMemo(() => figureSlots(kind, part, context), [kind, part, context]);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const latest = useRef<Part>(part);
  latest.current = part;
  /** Says why it could not be made; the part then stays as it was. */
  const change = useCallback(
    (choose: (now: Part) => Part): Problem | undefined => {
      const changed = choose(latest.current);
      const problem = kindOf(changed).problems(settlePart(changed, context.system, rules), context)[0];
      if (!problem) savePart(changed);
      return problem;
    },
    [context, rules, savePart],
  );
  const pad: ReactNode = active ? <PartPad part={part} slots={slots} path={active} onMove={show} /> : null;
  return { kind, context, slots, active, show, change, pad };
}

import { type PlateEdgeForm, plateSection, type Raft, type Slab, settlePart } from "@wide-porch/core";
import { useJob } from "../job/JobContext";
import { usePartFigures } from "../measure/usePartFigures";
import { GroundScreen } from "./GroundScreen";
import { PlatePanel } from "./PlatePanel";
import { useGroundChange } from "./useGroundChange";

/** What has lists of its own. */
const ELSEWHERE = /^(edges|ribs)\./;

type Props = { readonly part: Raft | Slab; readonly forms: readonly PlateEdgeForm[]; readonly ribbed: boolean };

/** A slab or a raft: its outline, how its edges end, ribs where it has any. */
export function PlateScreen({ part, forms, ribbed }: Props) {
  const figures = usePartFigures<Raft | Slab>(part);
  const { rules } = useJob("rules");
  const { context, slots, active, show } = figures;
  const { refusal, change } = useGroundChange<Raft | Slab>(figures.change);
  return (
    <GroundScreen
      part={part}
      figures={figures}
      section={plateSection(settlePart(part, context.system, rules), context)}
      refusal={refusal}
      elsewhere={ELSEWHERE}
      panels={
        <PlatePanel
          plate={part}
          forms={forms}
          ribbed={ribbed}
          slots={slots}
          active={active}
          // What a panel gives back is of the kind it was given.
          onChange={(to) => change((now) => to(now) as Raft | Slab)}
          onFigure={show}
        />
      }
    />
  );
}

import { type Footing, settlePart, stripSection } from "@wide-porch/core";
import { GroundScreen } from "../../ground/GroundScreen";
import { useGroundChange } from "../../ground/useGroundChange";
import { useJob } from "../../job/JobContext";
import { usePartFigures } from "../../measure/usePartFigures";
import { FootingPanel } from "./FootingPanel";

/** What has lists of its own. */
const ELSEWHERE = /^(edges|inner|steps)\./;

export default function FootingScreen({ part }: { readonly part: Footing }) {
  const figures = usePartFigures(part);
  const { rules } = useJob("rules");
  const { context, slots, active, show } = figures;
  const { refusal, change } = useGroundChange<Footing>(figures.change);
  return (
    <GroundScreen
      part={part}
      figures={figures}
      section={stripSection(settlePart(part, context.system, rules), context)}
      refusal={refusal}
      elsewhere={ELSEWHERE}
      panels={<FootingPanel footing={part} slots={slots} active={active} onChange={change} onFigure={show} />}
    />
  );
}

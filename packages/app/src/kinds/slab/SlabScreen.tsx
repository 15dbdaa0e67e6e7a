import { plateSection, type Slab } from "@wide-porch/core";
import { GroundScreen } from "../../ground/GroundScreen";
import { PlatePanel } from "../../ground/PlatePanel";
import { settledPart } from "../../ground/settledPart";
import { useGroundChange } from "../../ground/useGroundChange";
import { useJob } from "../../job/JobContext";
import { usePartFigures } from "../../measure/usePartFigures";

const FORMS = ["plain", "beam"] as const;
/** What has lists of its own. */
const ELSEWHERE = /^(edges|ribs)\./;

export default function SlabScreen({ part }: { readonly part: Slab }) {
  const figures = usePartFigures(part);
  const { rules } = useJob("rules");
  const { context, slots, active, show } = figures;
  const { refusal, change } = useGroundChange<Slab>("slab", figures.change);
  return (
    <GroundScreen
      part={part}
      figures={figures}
      section={plateSection(settledPart(part, context.system, rules), context)}
      refusal={refusal}
      elsewhere={ELSEWHERE}
      panels={
        <PlatePanel
          plate={part}
          forms={FORMS}
          ribbed={false}
          slots={slots}
          active={active}
          onChange={change}
          onFigure={show}
        />
      }
    />
  );
}

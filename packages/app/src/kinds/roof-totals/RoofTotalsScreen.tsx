import { ALONE, type RoofTotals } from "@wide-porch/core";
import { Choice } from "../../components/Choice";
import { Faint } from "../../components/Text";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";
import { roofTotalsLive } from "../liveWords";
import { ReplaceByDrawn } from "../roof/ReplaceByDrawn";
import { ReadReport } from "./ReadReport";

const TAKEN = [
  { value: "slope", label: "Along the slopes" },
  { value: "plan", label: "On plan" },
] as const;

/** A roof that nobody has drawn: its totals, counted by the same assemblies and marked as reckoned. */
export default function RoofTotalsScreen({ part }: { readonly part: RoofTotals }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(part);
  const take = (choose: (now: RoofTotals) => RoofTotals): string | undefined =>
    change((now) => (now.kind === part.kind ? choose(now) : now))?.message;
  return (
    <PartFrame
      part={part}
      pad={pad}
      built={{ say: roofTotalsLive, onChange: change }}
      measures={kind.measures(part, context, ALONE)}
      overChoices={<ReplaceByDrawn part={part} />}
    >
      <Faint>
        Reckoned from totals: rafters along the eaves, each as long as the area over the eaves. Nothing is drawn.
      </Faint>
      <ReadReport onTake={take} />
      <Choice
        label="The area was taken"
        options={TAKEN}
        value={part.areaTaken}
        onChange={(areaTaken) => change((now) => ("areaTaken" in now ? { ...now, areaTaken } : now))}
      />
      <FigureList slots={slots} activePath={active} onOpen={show} title="Totals" />
    </PartFrame>
  );
}

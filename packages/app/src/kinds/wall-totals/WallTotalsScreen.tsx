import { ALONE, type WallTotals } from "@wide-porch/core";
import { Faint } from "../../components/Text";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";
import { framedWords } from "../liveWords";

/** Walls that nobody has drawn: their totals, counted by the same assemblies and marked as reckoned. */
export default function WallTotalsScreen({ part }: { readonly part: WallTotals }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(part);
  return (
    <PartFrame
      part={part}
      pad={pad}
      built={{ say: framedWords, onChange: change }}
      measures={kind.measures(part, context, ALONE)}
    >
      <Faint>Reckoned from totals: two extra studs for each corner, meeting wall and opening. Nothing is drawn.</Faint>
      <FigureList slots={slots} activePath={active} onOpen={show} title="Totals" />
    </PartFrame>
  );
}

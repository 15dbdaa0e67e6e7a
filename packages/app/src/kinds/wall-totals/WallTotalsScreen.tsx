import { ALONE, type WallTotals } from "@wide-porch/core";
import { SlotChoices } from "../../assembly/SlotChoices";
import { UsesPanel } from "../../assembly/UsesPanel";
import { Faint } from "../../components/Text";
import { ConfirmPart } from "../../measure/ConfirmPart";
import { FigureList } from "../../measure/FigureList";
import { LiveCount } from "../../measure/LiveCount";
import { MeasureList } from "../../measure/MeasureList";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { usePartFigures } from "../../measure/usePartFigures";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";
import { framedWords } from "../liveWords";

/** Walls that nobody has drawn: their totals, counted by the same assemblies and marked as reckoned. */
export default function WallTotalsScreen({ part }: { readonly part: WallTotals }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(part);
  return (
    <PartLayout
      drawing={undefined}
      pad={pad}
      lists={
        <>
          <PartName part={part} />
          <ConfirmPart partId={part.id} />
          <LiveCount partId={part.id} say={framedWords} />
          <Faint>
            Reckoned from totals: two extra studs for each corner, meeting wall and opening. Nothing is drawn.
          </Faint>
          <FigureList slots={slots} activePath={active} onOpen={show} title="Totals" />
          <MeasureList measures={kind.measures(part, context, ALONE)} drawing={undefined} />
          <SlotChoices part={part} onChange={change} />
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
    />
  );
}

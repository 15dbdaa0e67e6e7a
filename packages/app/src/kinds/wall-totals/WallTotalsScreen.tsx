import { ALONE, TOTAL_COUNTS, type WallTotals } from "@wide-porch/core";
import { View } from "react-native";
import { SlotChoices } from "../../assembly/SlotChoices";
import { UsesPanel } from "../../assembly/UsesPanel";
import { CommitField } from "../../components/CommitField";
import { Faint, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { ConfirmPart } from "../../measure/ConfirmPart";
import { FigureList } from "../../measure/FigureList";
import { LiveCount } from "../../measure/LiveCount";
import { MeasureList } from "../../measure/MeasureList";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { usePartFigures } from "../../measure/usePartFigures";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";
import { framedWords } from "../liveWords";

const countProblem = (text: string): string | undefined =>
  /^\d{1,4}$/.test(text) ? undefined : "A whole number, 0 or more.";

/** Walls that nobody has drawn: their totals, counted by the same assemblies and marked as reckoned. */
export default function WallTotalsScreen({ part }: { readonly part: WallTotals }) {
  const { savePart } = useJob("savePart");
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
          <View className="gap-3">
            <Title level={2}>How many there are</Title>
            {TOTAL_COUNTS.map(({ field, label }) => (
              <CommitField
                key={field}
                label={label}
                value={String(part[field])}
                inputMode="numeric"
                check={countProblem}
                onCommit={(text) => savePart({ ...part, [field]: Number(text) })}
              />
            ))}
          </View>
          <MeasureList measures={kind.measures(part, context, ALONE)} drawing={undefined} />
          <SlotChoices part={part} onChange={change} />
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
    />
  );
}

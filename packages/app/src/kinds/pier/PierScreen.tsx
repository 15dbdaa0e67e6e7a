import { ALONE, kindOf, type Part, type Pier, settlePart } from "@wide-porch/core";
import { useCallback, useRef } from "react";
import { View } from "react-native";
import { SlotChoices } from "../../assembly/SlotChoices";
import { UsesPanel } from "../../assembly/UsesPanel";
import { AnyDrawing } from "../../components/AnyDrawing";
import { Choice } from "../../components/Choice";
import { CommitField } from "../../components/CommitField";
import { Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { ConfirmPart } from "../../measure/ConfirmPart";
import { FigureList } from "../../measure/FigureList";
import { LiveCount } from "../../measure/LiveCount";
import { MeasureList } from "../../measure/MeasureList";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { PartPad } from "../../measure/PartPad";
import { usePad } from "../../measure/usePad";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";
import { masonryLive } from "../liveWords";
import { BothWays } from "../masonry-wall/BothWays";

const FILLINGS = [
  { value: false, label: "Solid" },
  { value: true, label: "Hollow, one leaf round" },
] as const;

const countProblem = (text: string): string | undefined =>
  /^[1-9]\d{0,2}$/.test(text) && Number(text) <= 500 ? undefined : "A whole number from 1 to 500.";

/** A pier: three figures, and what it is built of. */
export default function PierScreen({ part }: { readonly part: Pier }) {
  const { context, rules, savePart, reckoning } = useJob("context", "rules", "savePart", "reckoning");
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
  const drawn = reckoning?.counts.find((each) => each.partId === part.id)?.drawing ?? kind.draw(part, context, ALONE);
  return (
    <PartLayout
      drawing={(heightPx) => (
        <AnyDrawing
          drawing={drawn}
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
          <ConfirmPart partId={part.id} />
          <LiveCount partId={part.id} say={masonryLive} />
          <FigureList slots={slots} activePath={active} onOpen={show} title="Pier" />
          <View className="gap-3">
            <Title level={2}>Shape</Title>
            <Choice
              label="Filling"
              options={FILLINGS}
              value={part.hollow}
              onChange={(hollow) => change((now) => ("hollow" in now ? { ...now, hollow } : now))}
            />
            <CommitField
              label="How many alike"
              value={String(part.count)}
              inputMode="numeric"
              check={countProblem}
              onCommit={(text) => savePart({ ...part, count: Number(text) })}
            />
          </View>
          <MeasureList measures={kind.measures(part, context, ALONE)} drawing={undefined} />
          <SlotChoices part={part} onChange={change} />
          <BothWays part={part} />
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
    />
  );
}

import { ALONE, kindOf, settlePart, TOTAL_COUNTS, type WallTotals } from "@wide-porch/core";
import { useCallback, useRef } from "react";
import { View } from "react-native";
import { UsesPanel } from "../assembly/UsesPanel";
import { CommitField } from "../components/CommitField";
import { Faint, Title } from "../components/Text";
import { useJobActions } from "../job/JobContext";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { ConfirmPart } from "./ConfirmPart";
import { FigureList } from "./FigureList";
import { LiveCount } from "./LiveCount";
import { MeasureList } from "./MeasureList";
import { PartLayout } from "./PartLayout";
import { PartName } from "./PartName";
import { PartPad } from "./PartPad";
import { usePad } from "./usePad";
import { type Framed, WallChoices } from "./WallChoices";

const countProblem = (text: string): string | undefined =>
  /^\d{1,4}$/.test(text) ? undefined : "A whole number, 0 or more.";

/** Walls that nobody has drawn: their totals, counted by the same assemblies and marked as reckoned. */
export function WallTotalsScreen({ part }: { readonly part: WallTotals }) {
  const { context, rules, savePart } = useJobActions();
  const [figure, show] = usePad();
  const kind = kindOf(part);
  const slots = kind.dimensions(part);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const latest = useRef(part);
  latest.current = part;
  const change = useCallback(
    (changes: Partial<Framed>) => {
      const changed: WallTotals = {
        ...latest.current,
        ...changes,
        choices: { ...(changes.choices ?? latest.current.choices) },
      };
      const problem = kindOf(changed).problems(settlePart(changed, context.system, rules), context)[0];
      if (!problem) savePart(changed);
      return problem;
    },
    [context, rules, savePart],
  );
  return (
    <PartLayout
      drawing={undefined}
      pad={active ? <PartPad part={part} slots={slots} path={active} onMove={show} /> : null}
      lists={
        <>
          <PartName part={part} />
          <ConfirmPart partId={part.id} />
          <LiveCount partId={part.id} />
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
          <WallChoices framed={part} onChange={change} />
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
    />
  );
}

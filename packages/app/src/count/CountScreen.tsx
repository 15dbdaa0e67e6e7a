import type { CountLine, OrderLine, PartCount } from "@wide-porch/core";
import { useLocalSearchParams, useRouter } from "expo-router";
import { useState } from "react";
import { ScrollView, View } from "react-native";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Figure, Title, Warning } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { useJob } from "../job/JobContext";
import { useWide } from "../theme/useWide";
import { CountRow } from "./CountRow";
import { type Grouping, groupLines } from "./grouping";
import { WorkingSheet } from "./WorkingSheet";

type Shown = "counted" | "ordered";

/** What the job needs: as counted, or as it is bought. */
export function CountScreen() {
  const wide = useWide();
  const router = useRouter();
  const { line: lineId } = useLocalSearchParams<{ line?: string }>();
  const { reckoning, failure } = useJob();
  const [view, setView] = useState<Shown>("counted");
  if (!reckoning)
    return failure ? <Warning role="alert">{`Counting failed: ${failure}`}</Warning> : <Waiting what="the count" />;

  const found = findLine(reckoning.counts, lineId);
  const show = (id: string) => router.setParams({ line: id });
  const list = (
    <ScrollView className="min-h-0 flex-1" contentContainerClassName="mx-auto w-full max-w-3xl gap-5 p-4 pb-10">
      <Choice
        label="Show"
        value={view}
        onChange={setView}
        options={[
          { value: "counted", label: "As counted" },
          { value: "ordered", label: "As ordered" },
        ]}
      />
      {view === "counted" ? (
        <Counted counts={reckoning.counts} onOpen={show} shownId={lineId} />
      ) : (
        <Ordered lines={reckoning.order.lines} />
      )}
    </ScrollView>
  );
  const working = found ? <WorkingSheet line={found.line} count={found.count} order={reckoning.order} /> : null;
  if (!wide) {
    return (
      <>
        {list}
        <Sheet open={found !== undefined} onClose={() => show("")} title={found?.line.description ?? ""}>
          {working}
        </Sheet>
      </>
    );
  }
  return (
    <View className="min-h-0 flex-1 flex-row">
      {list}
      <View role="complementary" aria-label="Working" className="w-[440px] border-l border-rule">
        <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-4 p-4">
          {found ? (
            <>
              <Title level={2}>{found.line.description}</Title>
              {working}
            </>
          ) : (
            <Faint>Choose a line to see how it came about.</Faint>
          )}
        </ScrollView>
      </View>
    </View>
  );
}

function findLine(
  counts: readonly PartCount[],
  id: string | undefined,
): { line: CountLine; count: PartCount } | undefined {
  for (const count of counts) {
    const line = count.lines.find((each) => each.id === id);
    if (line) return { line, count };
  }
  return undefined;
}

type CountedProps = { counts: readonly PartCount[]; onOpen: (id: string) => void; shownId: string | undefined };

function Counted({ counts, onOpen, shownId }: CountedProps) {
  const [by, setBy] = useState<Grouping>("part");
  const groups = groupLines(counts, by);
  if (groups.length === 0) return <Body>Nothing to count yet. Measure a wall first.</Body>;
  return (
    <>
      <Choice
        label="Grouped by"
        value={by}
        onChange={setBy}
        options={[
          { value: "part", label: "Part" },
          { value: "trade", label: "Trade" },
        ]}
      />
      {groups.map((group) => (
        <View key={group.key}>
          <Title level={2}>{group.title}</Title>
          <View role="list">
            {group.lines.map((line) => (
              <CountRow
                key={line.id}
                line={line}
                shown={line.id === shownId}
                withPart={by === "trade"}
                onOpen={onOpen}
              />
            ))}
          </View>
        </View>
      ))}
    </>
  );
}

function Ordered({ lines }: { lines: readonly OrderLine[] }) {
  if (lines.length === 0) return <Body>Nothing to order yet.</Body>;
  return (
    <View role="list" className="border-t border-rule">
      {lines.map((line) => (
        <View
          key={line.id}
          role="listitem"
          className="min-h-14 flex-row items-center justify-between gap-3 border-b border-rule py-2"
        >
          <View className="min-w-0 flex-1">
            <Body>{line.description}</Body>
            <Faint>{line.note}</Faint>
          </View>
          <View className="items-end">
            <Figure>{line.quantity}</Figure>
            <Faint>{line.unitName}</Faint>
          </View>
        </View>
      ))}
    </View>
  );
}

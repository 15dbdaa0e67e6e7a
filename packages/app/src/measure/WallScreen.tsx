import {
  enterDimension,
  formatLength,
  type Part,
  type Problem,
  type StudWallParameters,
  studWallKind,
} from "@wide-porch/core";
import { type Href, useLocalSearchParams, useRouter } from "expo-router";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { ScrollView, View } from "react-native";
import { DrawingCanvas } from "../components/DrawingCanvas";
import { Body, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { useWide } from "../theme/useWide";
import { FigureList } from "./FigureList";
import { LiveCount } from "./LiveCount";
import { OpeningButtons } from "./OpeningButtons";
import { TapePad } from "./TapePad";
import { WallChoices } from "./WallChoices";
import { WallName } from "./WallName";

/** One wall: its elevation, whose figures are the inputs, and what it is made of. */
export function WallScreen() {
  const { partId } = useLocalSearchParams<{ partId: string }>();
  const { parts } = useJob();
  const wall = parts.find((part) => part.id === partId);
  if (!wall) {
    return (
      <View className="p-6">
        <Title level={2}>This wall is not in the job</Title>
        <Body>It may have been put in the bin. Undo takes it out again.</Body>
      </View>
    );
  }
  return <Wall key={wall.id} wall={wall} />;
}

const describe = (wall: Part, system: "imperial" | "metric"): string => {
  const length =
    wall.length.valueNm === null ? "not measured yet" : `${formatLength(wall.length.valueNm, system)} long`;
  return `Elevation of ${wall.name}: ${length}, ${formatLength(wall.height.valueNm ?? 0, system)} high, ${wall.openings.length} openings`;
};

function Wall({ wall }: { wall: Part }) {
  const wide = useWide();
  const router = useRouter();
  const { figure: asked } = useLocalSearchParams<{ figure?: string }>();
  // The address may open a figure, once; going from one to the next stays on the page, and a reload shows the wall.
  const [figure, show] = useState<string | undefined>(asked);
  useEffect(() => {
    if (!asked) return;
    show(asked);
    router.setParams({ figure: "" });
  }, [asked, router]);
  const { record, context, savePart, readings, noteReading, reckoning } = useJob();
  const slots = useMemo(() => studWallKind.dimensions(wall), [wall]);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const enter = (path: string, typed: string): Problem | undefined => {
    const result = enterDimension(studWallKind, wall, path, typed, context);
    savePart(result.part);
    if (!result.problem) noteReading(typed.trim());
    return result.problem;
  };
  const latest = useRef(wall);
  latest.current = wall;
  const choose = useCallback(
    (change: Partial<StudWallParameters>): Problem | undefined => {
      const changed = { ...latest.current, parameters: { ...latest.current.parameters, ...change } };
      const problem = studWallKind.problems(changed, context)[0];
      if (!problem) savePart(changed);
      return problem;
    },
    [context, savePart],
  );
  const count = reckoning?.counts.find((each) => each.partId === wall.id);
  const measured = studWallKind.draw(wall, context);
  // Pieces come from the worker a moment later; the figures are this instant's.
  const drawing = count ? { ...count.drawing, dimensions: measured.dimensions } : measured;
  const latestCount = useRef(count);
  latestCount.current = count;
  const openLine = useCallback(
    (id: string) => {
      const line = latestCount.current?.lines.find((each) => each.pieceIds.includes(id));
      if (line) router.push(`/jobs/${record.id}/count?line=${encodeURIComponent(line.id)}` as Href);
    },
    [router, record.id],
  );
  const canvas = (heightPx: number) => (
    <DrawingCanvas
      drawing={drawing}
      description={describe(wall, context.system)}
      heightPx={heightPx}
      activePath={active}
      onDimension={show}
      onPiece={openLine}
    />
  );
  const lists = (
    <>
      <WallName wall={wall} />
      <LiveCount count={count} partId={wall.id} />
      <FigureList slots={slots} activePath={active} onOpen={show} />
      <OpeningButtons wall={wall} onAdded={(id) => show(`openings.${id}.position`)} />
      <WallChoices parameters={wall.parameters} onChange={choose} />
    </>
  );
  const pad = active ? (
    <TapePad
      slots={slots}
      path={active}
      system={context.system}
      readings={readings}
      onEnter={enter}
      onMove={show}
      onClose={() => show(undefined)}
    />
  ) : null;

  if (wide) {
    return (
      <View className="min-h-0 flex-1 flex-row">
        <View className="min-w-0 flex-1 justify-center p-4">{canvas(520)}</View>
        <View className="w-[400px] border-l border-rule">
          <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-5 p-4">
            {lists}
          </ScrollView>
          {pad}
        </View>
      </View>
    );
  }
  return (
    <View className="min-h-0 flex-1">
      <View className="border-b border-rule bg-paper px-1">{canvas(active ? 190 : 280)}</View>
      {active ? (
        <View className="flex-1 justify-end">{pad}</View>
      ) : (
        <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-5 p-4 pb-10">
          {lists}
        </ScrollView>
      )}
    </View>
  );
}

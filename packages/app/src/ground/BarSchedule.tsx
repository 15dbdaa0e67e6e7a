import {
  barSchedule,
  barScheduleTable,
  formatLength,
  massBySize,
  type PartCount,
  type ScheduledBar,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint, Figure, Strong, Title } from "../components/Text";
import { ExportButtons } from "../export/ExportButtons";
import { useJob } from "../job/JobContext";
import { BarShapeDrawing } from "./BarShapeDrawing";

/** Marks that are shown before the rest is asked for. */
const AT_FIRST = 6;

const kilograms = (massKg: number): string => `${massKg.toFixed(1)} kg`;

/** Every bar under its mark: its shape drawn, its measures, how many, what they weigh; as a file as well. */
export function BarSchedule({ count, times }: { readonly count: PartCount | undefined; readonly times: number }) {
  const { context } = useJob("context");
  const [all, setAll] = useState(false);
  const bars = useMemo(() => (count ? barSchedule(count.pieces, times) : []), [count, times]);
  if (bars.length === 0) return null;
  const mass = bars.reduce((sum, { massKg }) => sum + massKg, 0);
  const bySize = massBySize(bars).map(({ size, massKg }) => `${size} ${kilograms(massKg)}`);
  return (
    <View className="gap-2">
      <Title level={2}>Bar schedule</Title>
      <Faint>{`${kilograms(mass)} in all: ${bySize.join(", ")}`}</Faint>
      <View role="list">
        {bars.slice(0, all ? undefined : AT_FIRST).map((bar) => (
          <BarRow key={bar.mark} bar={bar} />
        ))}
      </View>
      {bars.length > AT_FIRST && !all ? (
        <Button label={`All ${bars.length} marks`} kind="quiet" onPress={() => setAll(true)} />
      ) : null}
      <View className="flex-row flex-wrap items-start gap-2">
        <ExportButtons make={() => barScheduleTable(bars, context.system)} what="bar schedule" />
      </View>
    </View>
  );
}

function BarRow({ bar }: { readonly bar: ScheduledBar }) {
  const { context } = useJob("context");
  const say = (nm: number) => formatLength(nm, context.system);
  const legs = bar.legsNm.length > 1 ? `, legs ${bar.legsNm.map(say).join(", ")}` : "";
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-b border-rule py-2">
      <Strong className="figures w-8">{bar.mark}</Strong>
      <BarShapeDrawing bar={bar} />
      <View className="min-w-0 flex-1">
        <Strong>{`${bar.count} × ${bar.size}, ${say(bar.cutLengthNm)}`}</Strong>
        <Faint>{`${bar.members.join(", ")}${legs}`}</Faint>
      </View>
      <Figure>{kilograms(bar.massKg)}</Figure>
    </View>
  );
}

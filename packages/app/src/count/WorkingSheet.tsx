import { type CountLine, type Order, type PartCount, packWord, quantityParts } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useMemo } from "react";
import { View } from "react-native";
import { AnyDrawing } from "../components/AnyDrawing";
import { Button } from "../components/Button";
import { Body, Faint, Figure, Strong, Title, Warning } from "../components/Text";
import { Box } from "../icons";
import { useJob } from "../job/JobContext";
import { PlanOfPart } from "./PlanOfPart";
import { SetByHand } from "./SetByHand";

type Props = {
  readonly line: CountLine;
  readonly count: PartCount;
  readonly order: Order;
  /** Shows the line's pieces in the 3D view. */
  readonly onModel: () => void;
};

/** How a number came about: in a sentence, in figures, on the drawing, and where it goes. */
export function WorkingSheet({ line, count, order, onModel }: Props) {
  const lit = useMemo(() => new Set(line.pieceIds), [line.pieceIds]);
  const { record } = useJob("record");
  const shown = quantityParts(line.quantity, line.unit, record.job.system);
  const bought = order.lines.filter((each) => each.countLineIds.includes(line.id));
  return (
    <View className="gap-4">
      <View className="flex-row items-baseline gap-2">
        <Figure className="text-4xl leading-[44px]">{shown.figure}</Figure>
        <Body>{`${shown.unit}, ${line.partName}`}</Body>
      </View>
      {lit.size > 0 && count.drawing.kind !== "none" ? (
        <View className="rounded-md border border-rule bg-paper">
          <AnyDrawing
            drawing={count.drawing}
            description={`${count.drawing.kind === "plan" ? "Plan" : "Elevation"} of ${line.partName} with ${line.pieceIds.length} pieces marked: ${line.description.toLowerCase()}`}
            heightPx={170}
            litIds={lit}
            showFigures={false}
          />
        </View>
      ) : null}
      {lit.size > 0 && count.drawing.kind !== "none" ? (
        <Button label="See them in 3D" kind="plain" icon={Box} onPress={onModel} />
      ) : null}
      <Body>{line.working.sentence}</Body>
      <View className="gap-1 rounded-md border border-rule bg-sheet p-3">
        <Faint>{line.working.formula}</Faint>
        <Strong className="figures">{line.working.withNumbers}</Strong>
        {line.working.steps.map((step) => (
          <View key={step.label} className="flex-row justify-between gap-3 border-t border-rule pt-1">
            <Body className="flex-1 text-sm">{step.label}</Body>
            <Figure className="text-base">{step.value}</Figure>
          </View>
        ))}
      </View>
      {line.missing === undefined ? null : <Warning role="alert">{line.missing}</Warning>}
      <SetByHand line={line} />
      {line.working.source ? <Faint>{line.working.source}</Faint> : null}
      <PlanOfPart partId={line.partId} name={line.partName} />
      <ComesFrom line={line} />
      <Faint>{`By “${line.assembly.name}”, version ${line.assembly.version}`}</Faint>
      <View className="gap-1">
        <Title level={3}>Goes into</Title>
        {bought.map((each) => (
          <Body key={each.id}>{`${each.quantity} ${packWord(each.quantity, each.unitName)}: ${each.description}`}</Body>
        ))}
      </View>
    </View>
  );
}

function ComesFrom({ line }: { line: CountLine }) {
  const router = useRouter();
  const { record } = useJob("record");
  if (line.working.from.length === 0) return null;
  const go = (path: string) => {
    const whole = path === "" || path.startsWith("choices.");
    const figure = whole ? "" : `?figure=${encodeURIComponent(path)}`;
    router.push(`/jobs/${record.id}/measure/${line.partId}${figure}` as Href);
  };
  return (
    <View className="gap-1">
      <Title level={3}>Comes from</Title>
      <View className="flex-row flex-wrap gap-2">
        {line.working.from.map((from) => (
          <Button key={from.label} label={from.label} kind="plain" onPress={() => go(from.path)} />
        ))}
      </View>
    </View>
  );
}

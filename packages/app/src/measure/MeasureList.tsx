import type { Measure, PlanDrawing } from "@wide-porch/core";
import { memo, useState } from "react";
import { Pressable, View } from "react-native";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Figure, Title } from "../components/Text";
import { PlanCanvas } from "../plan/PlanCanvas";

type Props = {
  readonly measures: readonly Measure[];
  /** The plan that the measures were taken from. */
  readonly drawing: PlanDrawing | undefined;
};

/** Every measured value; a press shows its working and the part of the plan it came from. */
export const MeasureList = memo(function MeasureList({ measures, drawing }: Props) {
  const [open, setOpen] = useState<string>();
  if (measures.length === 0) return null;
  const owners = [...new Set(measures.map((each) => each.of))];
  const shown = measures.find((each) => each.id === open);
  return (
    <View className="gap-1">
      <Title level={2}>What it measures</Title>
      {owners.map((owner) => (
        <View key={owner}>
          {owner ? <Faint className="pt-2">{owner}</Faint> : null}
          {measures
            .filter((each) => each.of === owner)
            .map((each) => (
              <Pressable
                key={each.id}
                role="button"
                aria-label={`${owner ? `${owner}, ` : ""}${each.name}: ${each.text}. How it came about`}
                onPress={() => setOpen(each.id)}
                className="min-h-12 flex-row items-center justify-between gap-3 border-b border-rule active:bg-pine-wash"
              >
                <Body>{each.name}</Body>
                <Figure className="text-base">{each.text}</Figure>
              </Pressable>
            ))}
        </View>
      ))}
      <Sheet
        open={shown !== undefined}
        onClose={() => setOpen(undefined)}
        title={shown ? [shown.of, shown.name].filter(Boolean).join(": ") : ""}
      >
        {shown ? <Working measure={shown} drawing={drawing} /> : null}
      </Sheet>
    </View>
  );
});

function Working({ measure, drawing }: { readonly measure: Measure; readonly drawing: PlanDrawing | undefined }) {
  const { sentence, formula, withNumbers, steps } = measure.working;
  return (
    <View className="gap-3">
      <Figure className="text-2xl leading-8">{measure.text}</Figure>
      <Body>{sentence}</Body>
      {drawing && measure.shapeIds.length > 0 ? (
        <PlanCanvas
          drawing={drawing}
          description={`The plan, with what ${measure.name.toLowerCase()} came from marked`}
          heightPx={220}
          litIds={new Set(measure.shapeIds)}
        />
      ) : null}
      <View className="gap-1">
        <Faint>{formula}</Faint>
        <Figure className="text-base">{withNumbers}</Figure>
      </View>
      {steps.map((step, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two walls may have the same name and length
        <View key={index} className="flex-row justify-between gap-3 border-b border-rule py-1">
          <Body className="flex-1">{step.label}</Body>
          <Figure className="text-base">{step.value}</Figure>
        </View>
      ))}
    </View>
  );
}

import { drawStorey, isWallPart } from "@wide-porch/core";
import { useMemo } from "react";
import { View } from "react-native";
import { useJob } from "../job/JobContext";
import { PlanCanvas } from "../plan/PlanCanvas";

/** Where a counted wall or room is: its storey from above, with it marked. Nothing for what stands on no plan. */
export function PlanOfPart({ partId, name }: { readonly partId: string; readonly name: string }) {
  const { parts, plan, context } = useJob("parts", "plan", "context");
  const part = parts.find((each) => each.id === partId);
  const storey = plan.storeys.find((each) => each.name === part?.storey);
  const drawing = useMemo(() => {
    const walls = parts.filter(isWallPart);
    return storey && drawStorey(storey, walls, plan, context);
  }, [parts, plan, storey, context]);
  const lit = useMemo(() => new Set([partId, `floor/${partId}`]), [partId]);
  if (!drawing?.shapes.some((shape) => lit.has(shape.id))) return null;
  return (
    <View className="rounded-md border border-rule bg-paper">
      <PlanCanvas
        drawing={{ ...drawing, labels: [], figures: [] }}
        description={`Plan of ${storey?.name ?? ""} with ${name} marked`}
        heightPx={150}
        litIds={lit}
        showFigures={false}
      />
    </View>
  );
}

import { outsideRing, type StoreyPlan } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { useJobLater } from "../job/useJobLater";

/** Takes the outline from the outside of a storey, where one closes. */
export function FromStorey({ onTake }: { readonly onTake: (storey: StoreyPlan) => void }) {
  const { plan } = useJobLater("plan");
  const storeys = plan.storeys.filter((storey) => outsideRing(storey).length > 0);
  if (storeys.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-2">
      {storeys.map((storey) => (
        <Button
          key={storey.name}
          label={`From the outside of ${storey.name || "the house"}`}
          kind="plain"
          onPress={() => onTake(storey)}
        />
      ))}
    </View>
  );
}

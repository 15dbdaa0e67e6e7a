import { canBeConfirmed, plural } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint } from "../components/Text";
import { useJob } from "../job/JobContext";
import { useConfirm } from "../job/useConfirm";
import { useJobLater } from "../job/useJobLater";

/** One press for all that is assumed of a part and stands as it is. Nothing while there is none. */
export function ConfirmPart({ partId }: { readonly partId: string }) {
  const { reckoning, parts } = useJobLater("reckoning", "parts");
  const { context } = useJob("context");
  const confirm = useConfirm();
  const part = parts.find((each) => each.id === partId);
  const count = reckoning?.counts.find((each) => each.partId === partId);
  if (!part || !count) return null;
  const assumed = count.openPoints
    .filter((point) => point.kind === "assumed" && canBeConfirmed(part, point.path, context))
    .map((point) => ({ partId, partName: part.name, point }));
  if (assumed.length === 0) return null;
  const words = plural(
    assumed.length,
    "One of its figures and choices is",
    `${assumed.length} of its figures and choices are`,
  );
  return (
    <View className="flex-row items-center justify-between gap-2 rounded-md border border-dashed border-clay px-3">
      <Faint className="flex-1">{`${words} assumed.`}</Faint>
      <Button
        label="Confirm all"
        name={`Confirm all that is assumed of ${part.name}`}
        kind="quiet"
        onPress={() => confirm(assumed)}
      />
    </View>
  );
}

import { percentSchema } from "@wide-porch/core";
import { FigureField } from "../measure/FigureField";

export const percentProblem = (text: string): string | undefined =>
  percentSchema.safeParse(text).success ? undefined : "A percentage like 12.5.";

export function PercentField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: string;
  onCommit: (percent: string) => void;
}) {
  return (
    <FigureField
      measure="percent"
      label={`${label}, percent`}
      hideLabel
      value={value}
      check={percentProblem}
      onCommit={onCommit}
      suffix="%"
      boxClassName="w-24"
      className="text-right"
    />
  );
}

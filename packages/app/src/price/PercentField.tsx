import { percentSchema } from "@wide-porch/core";
import { CommitField } from "../components/CommitField";

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
    <CommitField
      label={`${label}, percent`}
      hideLabel
      value={value}
      check={percentProblem}
      onCommit={onCommit}
      suffix="%"
      inputMode="decimal"
      boxClassName="w-24"
      className="text-right"
    />
  );
}

import { percentSchema } from "@wide-porch/core";
import { FigureField } from "../measure/FigureField";

export const percentProblem = (text: string): string | undefined =>
  percentSchema.safeParse(text).success ? undefined : "A percentage like 12.5.";

/** A share of the price: nothing would be left of it at a hundred. */
export const shareProblem = (text: string): string | undefined =>
  percentProblem(text) ?? (Number(text) < 100 ? undefined : "Less than 100 % of the price.");

export const taxProblem = (text: string): string | undefined =>
  percentProblem(text) ?? (Number(text) <= 100 ? undefined : "A tax is at most 100 % of the price.");

type Props = {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (percent: string) => void;
  readonly check?: (text: string) => string | undefined;
};

export function PercentField({ label, value, onCommit, check = percentProblem }: Props) {
  return (
    <FigureField
      measure="percent"
      label={`${label}, percent`}
      hideLabel
      value={value}
      check={check}
      onCommit={onCommit}
      suffix="%"
      boxClassName="w-24"
      className="text-right"
    />
  );
}

import { type CountLine, plural, quantityText } from "@wide-porch/core";
import { View } from "react-native";
import { Folded } from "../components/Folded";
import { Body, Strong } from "../components/Text";
import { useJob } from "../job/JobContext";

const MEASURED: ReadonlySet<string> = new Set(["length", "area", "volume", "weight"]);

/** `9 kinds, 1,438 in all`: what is counted piece by piece adds up; what is measured stands for itself. */
function totalWords(lines: readonly CountLine[]): string {
  const pieces = lines.filter(({ unit }) => !MEASURED.has(unit)).reduce((sum, { quantity }) => sum + quantity, 0);
  const kinds = plural(lines.length, "1 kind", `${lines.length} kinds`);
  return `${kinds}, ${Math.ceil(pieces - 1e-9).toLocaleString("en")} in all`;
}

/** Hangers, straps, nails and screws, folded away until somebody wants them. */
export function FixingsPanel({ lines }: { readonly lines: readonly CountLine[] | undefined }) {
  const { context } = useJob("context");
  const fixings = (lines ?? []).filter(({ trade, quantity }) => trade === "Fixings" && quantity > 0);
  if (fixings.length === 0) return null;
  return (
    <Folded title="Fixings" under={totalWords(fixings)}>
      {fixings.map(({ key, description, quantity, unit }) => (
        <View key={key} className="flex-row items-baseline justify-between gap-3 border-b border-rule pb-2">
          <Body className="min-w-0 flex-1">{description}</Body>
          <Strong>{quantityText(quantity, unit, context.system)}</Strong>
        </View>
      ))}
    </Folded>
  );
}

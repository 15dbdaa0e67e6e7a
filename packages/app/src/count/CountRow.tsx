import { type CountLine, type MeasuringSystem, quantityParts, quantityText } from "@wide-porch/core";
import { Pressable, View } from "react-native";
import { Body, Faint, Figure, Warning } from "../components/Text";

type Props = {
  readonly line: CountLine;
  readonly system: MeasuringSystem;
  readonly shown: boolean;
  /** Say which part it belongs to, where the heading does not. */
  readonly withPart: boolean;
  readonly onOpen: (id: string) => void;
};

/** What there is to say of a line beside its figure. */
function remarks({ byHand, basis, computed, unit, supply }: CountLine, system: MeasuringSystem): string {
  const said: string[] = [];
  if (byHand !== undefined) said.push(`set by hand, computed ${quantityText(computed, unit, system)}`);
  if (supply) said.push(supply.by === "customer" ? "supplied by the customer" : "allowed for, to be chosen");
  if (basis === "reckoned") said.push("reckoned, not laid out");
  return said.join(" · ");
}

/** One quantity; a press shows how it came about. */
export function CountRow({ line, system, shown, withPart, onOpen }: Props) {
  const { figure, unit } = quantityParts(line.quantity, line.unit, system);
  const said = remarks(line, system);
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-label={`${line.description}, ${figure} ${unit}, ${line.partName}: show the working`}
        onPress={() => onOpen(line.id)}
        className={`min-h-12 flex-row items-center justify-between gap-3 border-b border-rule py-1.5 active:bg-pine-wash ${shown ? "bg-pine-wash" : ""}`}
      >
        <View className="min-w-0 flex-1">
          <Body>{line.description}</Body>
          {withPart ? <Faint>{line.partName}</Faint> : null}
          {said ? <Faint>{said}</Faint> : null}
          {line.note === undefined ? null : <Warning>{line.note}</Warning>}
          {line.missing === undefined ? null : <Warning>{line.missing}</Warning>}
        </View>
        <View className="flex-row items-baseline gap-1.5">
          <Figure className="text-xl">{line.missing === undefined ? figure : "–"}</Figure>
          <Faint className="w-16">{unit}</Faint>
        </View>
      </Pressable>
    </View>
  );
}

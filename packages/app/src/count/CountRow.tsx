import type { CountLine } from "@wide-porch/core";
import { Pressable, View } from "react-native";
import { Body, Faint, Figure } from "../components/Text";
import { unitWords } from "./grouping";

type Props = {
  readonly line: CountLine;
  readonly shown: boolean;
  /** Say which part it belongs to, where the heading does not. */
  readonly withPart: boolean;
  readonly onOpen: (id: string) => void;
};

/** One quantity; a press shows how it came about. */
export function CountRow({ line, shown, withPart, onOpen }: Props) {
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-label={`${line.description}, ${line.quantity} ${unitWords(line)}, ${line.partName}: show the working`}
        onPress={() => onOpen(line.id)}
        className={`min-h-12 flex-row items-center justify-between gap-3 border-b border-rule py-1.5 active:bg-pine-wash ${shown ? "bg-pine-wash" : ""}`}
      >
        <View className="min-w-0 flex-1">
          <Body>{line.description}</Body>
          {withPart ? <Faint>{line.partName}</Faint> : null}
        </View>
        <View className="flex-row items-baseline gap-1.5">
          <Figure className="text-xl">{line.quantity}</Figure>
          <Faint className="w-14">{unitWords(line)}</Faint>
        </View>
      </Pressable>
    </View>
  );
}

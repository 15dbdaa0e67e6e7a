import type { FigureSlot } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Trash2 } from "../icons";
import { FigureList } from "../measure/FigureList";

type Props = {
  readonly name: string;
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  readonly told: readonly { readonly path: string; readonly message: string }[] | undefined;
  readonly onFigure: (path: string) => void;
  readonly onTakeOut: () => void;
};

/** The figures of one thing among several, which can be taken out. */
export function ItemFigures({ name, slots, active, told, onFigure, onTakeOut }: Props) {
  return (
    <View className="gap-1">
      <FigureList slots={slots} activePath={active} onOpen={onFigure} title={name} told={told} />
      <View className="flex-row">
        <Button label="Take it out" name={`Take out: ${name}`} kind="quiet" icon={Trash2} onPress={onTakeOut} />
      </View>
    </View>
  );
}

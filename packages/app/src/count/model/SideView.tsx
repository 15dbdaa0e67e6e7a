import { elevationFrom, HOUSE_SIDES, type HouseSide, type Solid } from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { Choice } from "../../components/Choice";
import { DrawingCanvas } from "../../components/DrawingCanvas";
import { Body, Faint } from "../../components/Text";
import { useJob } from "../../job/JobContext";

const WORDS: Readonly<Record<HouseSide, string>> = {
  front: "Foot of the plan",
  right: "Right of the plan",
  back: "Top of the plan",
  left: "Left of the plan",
};
const SIDES = HOUSE_SIDES.map((value) => ({ value, label: WORDS[value] }));
const HEIGHT_PX = 420;

type Props = {
  readonly solids: readonly Solid[];
  readonly storey: string | undefined;
  readonly onOpen: (id: string) => void;
};

/** The outside square on from one of four sides: roofs, walls and rooms, what is hidden left out. */
export function SideView({ solids, storey, onOpen }: Props) {
  const { context } = useJob("context");
  const [side, setSide] = useState<HouseSide>("front");
  const drawing = useMemo(
    () =>
      elevationFrom(
        storey === undefined ? solids : solids.filter((each) => each.storey === storey),
        side,
        context.system,
      ),
    [solids, storey, side, context.system],
  );
  return (
    <View className="gap-3">
      {drawing ? (
        <DrawingCanvas
          drawing={drawing}
          description={`The outside from the ${WORDS[side].toLowerCase()}`}
          heightPx={HEIGHT_PX}
          onPiece={(id) => onOpen(id.split("#")[0] ?? id)}
        />
      ) : (
        <Body role="status">
          There is no outside to show from here: no roof, room or covered wall, or too much of it at once.
        </Body>
      )}
      <Choice label="From" options={SIDES} value={side} onChange={setSide} />
      <Faint>Roofs, rooms and what covers walls; timber is not in it.</Faint>
    </View>
  );
}

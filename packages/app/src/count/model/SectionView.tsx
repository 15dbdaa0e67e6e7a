import {
  formatLength,
  parseLength,
  reachOf,
  type SectionLine,
  type Solid,
  sectionThrough,
  storeyLevels,
  usualCut,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { DrawingCanvas } from "../../components/DrawingCanvas";
import { Body, Faint } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { FigureField } from "../../measure/FigureField";

type Along = SectionLine["along"];
const WAYS: readonly { readonly value: Along; readonly label: string }[] = [
  { value: "across", label: "Across the plan" },
  { value: "up", label: "Up the plan" },
];
const HEIGHT_PX = 420;
/** Presses from one side of the house to the other. */
const STEPS = 24;

type Props = { readonly solids: readonly Solid[]; readonly onOpen: (id: string) => void };

/** The house cut through, square on: where the cut is moves by presses or by its figure. */
export function SectionView({ solids, onOpen }: Props) {
  const { plan, context } = useJob("plan", "context");
  const { system } = context;
  const [along, setAlong] = useState<Along>("across");
  const [moved, setMoved] = useState<Partial<Record<Along, number>>>({});
  const reach = useMemo(() => reachOf(solids, along), [solids, along]);
  const levels = useMemo(() => storeyLevels(plan), [plan]);
  const lengthNm = reach ? reach.toNm - reach.fromNm : 0;
  const usualNm = useMemo(() => usualCut(solids, along), [solids, along]) - (reach?.fromNm ?? 0);
  const fromEdgeNm = Math.min(Math.max(moved[along] ?? usualNm, 0), lengthNm);
  const atNm = (reach?.fromNm ?? 0) + fromEdgeNm;
  const drawing = useMemo(
    () => sectionThrough(solids, { along, atNm }, levels, system),
    [solids, along, atNm, levels, system],
  );
  if (!reach) return <Body>Nothing stands yet. Measure a room or a wall first.</Body>;
  const move = (toNm: number) => setMoved({ ...moved, [along]: Math.round(Math.min(Math.max(toNm, 0), lengthNm)) });
  const step = lengthNm / STEPS;
  const edge = along === "across" ? "foot of the plan" : "left of the plan";
  return (
    <View className="gap-3">
      {drawing ? (
        <DrawingCanvas
          drawing={drawing}
          description={`Section ${along === "across" ? "across" : "up"} the plan, ${formatLength(fromEdgeNm, system)} from the ${edge}`}
          heightPx={HEIGHT_PX}
          onPiece={onOpen}
        />
      ) : (
        <Body role="status">The cut meets nothing here. Move it.</Body>
      )}
      <Choice label="Cut" options={WAYS} value={along} onChange={setAlong} />
      <View className="flex-row items-end gap-2">
        <Button label="Back" name="Move the cut back" kind="plain" onPress={() => move(fromEdgeNm - step)} />
        <FigureField
          measure="length"
          system={system}
          label={`From the ${edge}`}
          value={formatLength(fromEdgeNm, system)}
          boxClassName="min-w-0 flex-1"
          check={(text) => {
            const read = parseLength(text, system);
            if (!read.ok) return read.problem.message;
            const fits = read.value >= 0 && read.value <= lengthNm;
            return fits ? undefined : `From 0 to ${formatLength(lengthNm, system)}.`;
          }}
          onCommit={(text) => {
            const read = parseLength(text, system);
            if (read.ok) move(read.value);
          }}
        />
        <Button label="On" name="Move the cut on" kind="plain" onPress={() => move(fromEdgeNm + step)} />
      </View>
      <Faint>Press what is cut for its count, a room to measure it.</Faint>
    </View>
  );
}

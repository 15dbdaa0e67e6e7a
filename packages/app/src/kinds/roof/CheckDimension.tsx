import {
  betweenPoints,
  formatLength,
  formOf,
  NM_PER_MM,
  type Roof,
  type RoofPoint,
  roofPoints,
} from "@wide-porch/core";
import { useMemo } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Picker } from "../../components/Picker";
import { Body, Faint, Figure } from "../../components/Text";
import { useJob } from "../../job/JobContext";

type Props = {
  readonly roof: Roof;
  /** Corners pressed so far, at most two; nothing while no dimension is checked. */
  readonly points: readonly RoofPoint[] | undefined;
  readonly onPoints: (points: readonly RoofPoint[] | undefined) => void;
};

const ASKED = ["Press a corner on the plan.", "Press another one."];

/** A dimension of the drawn roof between any two of its corners, to hold a tape to. */
export function CheckDimension({ roof, points, onPoints }: Props) {
  const { context } = useJob("context");
  const corners = useMemo(() => {
    const formed = points && formOf(roof);
    return formed?.ok ? roofPoints(formed.form) : [];
  }, [roof, points]);
  if (points === undefined)
    return (
      <View className="flex-row">
        <Button label="Check a dimension" kind="plain" onPress={() => onPoints([])} />
      </View>
    );
  const [a, b] = points;
  const found = a && b && betweenPoints(a, b);
  const say = (nm: number) => formatLength(nm, context.system);
  const rows: readonly (readonly [string, number])[] = found
    ? [
        ["Level", found.level],
        ["Up", found.up],
        ["Straight, along the slope", found.straight],
      ]
    : [];
  return (
    <View className="gap-2 rounded-md border border-rule bg-sheet p-3">
      <View role="status">
        <Faint>{ASKED[points.length] ?? "Between the two corners. Press a third to begin again."}</Faint>
        {rows.map(([label, nm]) => (
          <View key={label} className="flex-row justify-between gap-3">
            <Body>{label}</Body>
            <Figure>{say(nm)}</Figure>
          </View>
        ))}
      </View>
      {/* The same without pressing on the plan. */}
      <CornerPicker label="From" corners={corners} chosen={a} onChoose={(from) => onPoints(b ? [from, b] : [from])} />
      <CornerPicker label="To" corners={corners} chosen={b} onChoose={(to) => onPoints([a ?? to, to])} />
      <View className="flex-row">
        <Button label="Done checking" kind="plain" onPress={() => onPoints(undefined)} />
      </View>
    </View>
  );
}

type CornerProps = {
  readonly label: string;
  readonly corners: readonly RoofPoint[];
  readonly chosen: RoofPoint | undefined;
  readonly onChoose: (corner: RoofPoint) => void;
};

const keyOf = ({ at }: RoofPoint): string => at.map((each) => each.toFixed(1)).join("/");

function CornerPicker({ label, corners, chosen, onChoose }: CornerProps) {
  const { context } = useJob("context");
  const say = (mm: number) => formatLength(Math.round(mm * NM_PER_MM), context.system);
  const options = corners.map((corner, index) => ({
    value: keyOf(corner),
    label: `Corner ${index + 1}`,
    under: `${say(corner.at[0])} along, ${say(corner.at[1])} across, ${say(corner.at[2])} above the plate`,
  }));
  return (
    <Picker
      label={label}
      options={options}
      value={chosen ? keyOf(chosen) : ""}
      onChange={(value) => {
        const found = corners.find((corner) => keyOf(corner) === value);
        if (found) onChoose(found);
      }}
    />
  );
}

import {
  measured,
  type Problem,
  type WallShape as Shape,
  type StudWall,
  unmeasured,
  type WallEnd,
} from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Title } from "../components/Text";

type Props = {
  readonly wall: StudWall;
  /** Makes the change; says why it could not be made. */
  readonly onChange: (change: Partial<StudWall>) => Problem | undefined;
};

type Top = "level" | "up-left" | "up-right" | "gable";

const TOPS: readonly { value: Top; label: string }[] = [
  { value: "level", label: "Level" },
  { value: "up-left", label: "Rises to the left" },
  { value: "up-right", label: "Rises to the right" },
  { value: "gable", label: "Gable" },
];

const ENDS: readonly { value: WallEnd; label: string }[] = [
  { value: "free", label: "Free" },
  { value: "corner-through", label: "Corner, runs through" },
  { value: "corner-butts", label: "Corner, butts" },
  { value: "meets", label: "Meets a wall" },
];

const topOf = ({ shape }: StudWall): Top => {
  if (shape.how === "slope") return shape.up === "left" ? "up-left" : "up-right";
  return shape.how === "gable" ? "gable" : "level";
};

/** A shape of the kind chosen; the high figure stays where there is one. */
function shapeFor(top: Top, wall: StudWall): Shape {
  const { shape, length } = wall;
  if (top === "level") return { how: "level" };
  const high = shape.how === "slope" ? shape.highHeight : shape.how === "gable" ? shape.peakHeight : unmeasured;
  if (top !== "gable") return { how: "slope", up: top === "up-left" ? "left" : "right", highHeight: high };
  const middle =
    length.valueNm === null ? unmeasured : { ...measured(Math.round(length.valueNm / 2), ""), assumed: true };
  return { how: "gable", peakHeight: high, peakAt: shape.how === "gable" ? shape.peakAt : middle };
}

/** The top of a wall, how often it is built, and, for a wall by itself, how its ends stand. */
export function WallShape({ wall, onChange }: Props) {
  return (
    <View className="gap-4">
      <Title level={2}>Shape</Title>
      <Choice
        label="Top of the wall"
        options={TOPS}
        value={topOf(wall)}
        onChange={(top) => onChange({ shape: shapeFor(top, wall) })}
      />
      {wall.plan ? null : (
        <>
          <Choice
            label="Left end"
            options={ENDS}
            value={wall.ends.left}
            onChange={(left) => onChange({ ends: { ...wall.ends, left } })}
          />
          <Choice
            label="Right end"
            options={ENDS}
            value={wall.ends.right}
            onChange={(right) => onChange({ ends: { ...wall.ends, right } })}
          />
        </>
      )}
      <CommitField
        label="How often it is built"
        value={String(wall.repeats)}
        inputMode="numeric"
        check={(text) =>
          /^[1-9]\d{0,2}$/.test(text) && Number(text) <= 500 ? undefined : "A whole number from 1 to 500."
        }
        onCommit={(text) => onChange({ repeats: Number(text) })}
      />
    </View>
  );
}

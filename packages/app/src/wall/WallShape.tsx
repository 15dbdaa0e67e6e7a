import {
  assumedDimension,
  measured,
  type Problem,
  type WallShape as Shape,
  unmeasured,
  type Wall,
  type WallEnd,
} from "@wide-porch/core";
import { memo, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint, Title, Warning } from "../components/Text";
import { Plus, Trash2 } from "../icons";
import { FigureField } from "../measure/FigureField";
import { newId } from "../sync/newId";

type Change = Partial<Wall> | ((now: Wall) => Partial<Wall>);

type Props = {
  readonly wall: Wall;
  /** Whether which way the house turns at its corners comes to anything. */
  readonly turnsCorners: boolean;
  /** Makes the change, to the wall as it stands this instant; says why it could not be made. */
  readonly onChange: (change: Change) => Problem | undefined;
};

type Top = "level" | "up-left" | "up-right" | "gable" | "points";

const TOPS: readonly { value: Top; label: string }[] = [
  { value: "level", label: "Level" },
  { value: "up-left", label: "Rises to the left" },
  { value: "up-right", label: "Rises to the right" },
  { value: "gable", label: "Gable" },
  { value: "points", label: "Point by point" },
];

const ENDS: readonly { value: WallEnd; label: string }[] = [
  { value: "free", label: "Free" },
  { value: "corner-through", label: "Corner, runs through" },
  { value: "corner-butts", label: "Corner, butts" },
  { value: "meets", label: "Meets a wall" },
];

const topOf = ({ shape }: Wall): Top => {
  if (shape.how === "slope") return shape.up === "left" ? "up-left" : "up-right";
  return shape.how;
};

/** A break of the top in the middle of what is left of the wall, as high as the one before it: both to be measured. */
function nextBreak(wall: Wall) {
  const points = wall.shape.how === "points" ? wall.shape.points : [];
  const last = points[points.length - 1];
  const fromNm = last?.at.valueNm ?? 0;
  const atNm = Math.round((fromNm + (wall.length.valueNm ?? 0)) / 2);
  const heightNm = last?.height.valueNm ?? wall.height.valueNm ?? 0;
  return { id: newId().slice(0, 8), at: assumedDimension(atNm), height: assumedDimension(heightNm) };
}

/** A shape of the kind chosen; the high figure stays where there is one. */
function shapeFor(top: Top, wall: Wall): Shape {
  const { shape, length } = wall;
  if (top === "level") return { how: "level" };
  if (top === "points") return shape.how === "points" ? shape : { how: "points", points: [nextBreak(wall)] };
  const high = shape.how === "slope" ? shape.highHeight : shape.how === "gable" ? shape.peakHeight : unmeasured;
  if (top !== "gable") return { how: "slope", up: top === "up-left" ? "left" : "right", highHeight: high };
  const middle =
    length.valueNm === null ? unmeasured : { ...measured(Math.round(length.valueNm / 2), ""), assumed: true };
  return { how: "gable", peakHeight: high, peakAt: shape.how === "gable" ? shape.peakAt : middle };
}

/** The top of a wall, how often it is built, and, for a wall by itself, how its ends stand. */
export const WallShape = memo(function WallShape({ wall, turnsCorners, onChange }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const say = (shapeOf: (now: Wall) => Shape) => {
    const problem = onChange((now) => ({
      shape: shapeOf(now),
      // Said of a wall under a ceiling, it stands at the height it has.
      ...(now.plan?.underCeiling ? { height: { ...now.height, assumed: false } } : {}),
    }));
    setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
  };
  return (
    <View className="gap-4">
      <Title level={2}>Shape</Title>
      <Choice
        label="Top of the wall"
        options={TOPS}
        value={topOf(wall)}
        onChange={(top) => say((now) => shapeFor(top, now))}
      />
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      {wall.shape.how === "points" && !wall.plan?.underCeiling ? (
        <Breaks
          points={wall.shape.points}
          onChange={(change) => say((now) => ({ how: "points", points: change(now) }))}
        />
      ) : null}
      {wall.plan?.underCeiling ? (
        <Faint>Its top follows the room’s ceiling until its own height or shape is given.</Faint>
      ) : null}
      {wall.plan ? null : (
        <>
          <Choice
            label="Left end"
            options={ENDS}
            value={wall.ends.left}
            onChange={(left) => onChange({ ends: { ...wall.ends, left } })}
          />
          {turnsCorners ? <Turn wall={wall} end="left" onChange={onChange} /> : null}
          <Choice
            label="Right end"
            options={ENDS}
            value={wall.ends.right}
            onChange={(right) => onChange({ ends: { ...wall.ends, right } })}
          />
          {turnsCorners ? <Turn wall={wall} end="right" onChange={onChange} /> : null}
        </>
      )}
      <FigureField
        measure="count"
        label="How often it is built"
        value={String(wall.repeats)}
        check={(text) =>
          /^[1-9]\d{0,2}$/.test(text) && Number(text) <= 500 ? undefined : "A whole number from 1 to 500."
        }
        onCommit={(text) => onChange({ repeats: Number(text) })}
      />
    </View>
  );
}, sameShape);

const TURNS: readonly { readonly value: boolean; readonly label: string }[] = [
  { value: false, label: "Outwards" },
  { value: true, label: "Inwards" },
];

type TurnProps = Pick<Props, "wall" | "onChange"> & { readonly end: "left" | "right" };

/** Which way the house turns at a corner; nothing for an end that is none. */
function Turn({ wall, end, onChange }: TurnProps) {
  if (wall.ends[end] !== "corner-through" && wall.ends[end] !== "corner-butts") return null;
  const now = wall.insideCorners ?? { left: false, right: false };
  return (
    <Choice
      label={`At its ${end} end the house turns`}
      options={TURNS}
      value={now[end]}
      onChange={(inwards) => onChange({ insideCorners: { ...now, [end]: inwards } })}
    />
  );
}

/** Its length and heights are nothing to it. */
function sameShape(a: Props, b: Props): boolean {
  const [now, next] = [a.wall, b.wall];
  return (
    a.onChange === b.onChange &&
    now.shape === next.shape &&
    now.ends.left === next.ends.left &&
    now.ends.right === next.ends.right &&
    now.insideCorners === next.insideCorners &&
    now.repeats === next.repeats &&
    (now.plan === null) === (next.plan === null) &&
    now.plan?.underCeiling === next.plan?.underCeiling
  );
}

type Points = Extract<Shape, { how: "points" }>["points"];
type BreaksProps = {
  readonly points: Points;
  readonly onChange: (change: (now: Wall) => Points) => void;
};

const pointsOf = ({ shape }: Wall): Points => (shape.how === "points" ? shape.points : []);

const MOST_BREAKS = 20;

/** The breaks of a top that is given point by point; their figures are among the wall's. */
function Breaks({ points, onChange }: BreaksProps) {
  return (
    <View className="gap-2">
      <Faint>
        From the left end’s height through each break in turn, then level. Their figures are in the list above.
      </Faint>
      <View className="flex-row flex-wrap">
        {points.length > 1
          ? points.map((point, index) => (
              <Button
                key={point.id}
                label={`Take out break ${index + 1}`}
                kind="quiet"
                icon={Trash2}
                onPress={() => onChange((now) => pointsOf(now).filter((each) => each.id !== point.id))}
              />
            ))
          : null}
      </View>
      <Button
        label="Add a break"
        kind="plain"
        icon={Plus}
        disabled={points.length >= MOST_BREAKS}
        onPress={() => onChange((now) => [...pointsOf(now), nextBreak(now)])}
      />
    </View>
  );
}

import { unmeasured } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint } from "../components/Text";
import { FigureList } from "../measure/FigureList";
import type { JoistPanelProps } from "./changes";
import type { Moving } from "./JoistPlan";

type Props = JoistPanelProps & {
  readonly told: readonly { readonly path: string; readonly message: string }[] | undefined;
  readonly moving: Moving | undefined;
  readonly onMoving: (moving: Moving | undefined) => void;
};

const RUNS = [
  { value: "across", label: "Across Edge A" },
  { value: "along", label: "Along Edge A" },
] as const;

/** Which way the joists lie, and where the first of them does. */
export function MovePanel({ part, slots, active, told, moving, onChange, onFigure, onMoving }: Props) {
  const isMoving = moving?.what === "joists";
  const own = slots.filter(({ path }) => path === "firstJoist");
  const isMoved = part.firstJoist.valueNm !== null;
  return (
    <View className="gap-3">
      <Choice
        label="Joists lie"
        options={RUNS}
        value={part.runs}
        onChange={(runs) => onChange((now) => ({ ...now, runs }))}
      />
      <FigureList slots={own} activePath={active} onOpen={onFigure} title="Layout" told={told} />
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={isMoving ? "Leave them there" : "Move the joists"}
          kind="plain"
          onPress={() => onMoving(isMoving ? undefined : { what: "joists" })}
        />
        {isMoved ? (
          <Button
            label="Begin with one spacing again"
            kind="quiet"
            onPress={() => onChange((now) => ({ ...now, firstJoist: unmeasured }))}
          />
        ) : null}
      </View>
      {isMoving ? <Faint>Draw the layout over the plan with a finger. It is counted when you let go.</Faint> : null}
    </View>
  );
}

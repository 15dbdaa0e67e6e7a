import {
  type Closing,
  type Explanation,
  explainGap,
  formatLength,
  gapSizeNm,
  outlineOf,
  type Room,
  reopenWalk,
  runName,
  walkOf,
  walkPoint,
  withClosing,
} from "@wide-porch/core";
import { useMemo } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Notice } from "../../components/Notice";
import { Body, Faint, Strong } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { newId } from "../../sync/newId";
import { gapText } from "./gapText";

const EXPLANATIONS_SHOWN = 5;

type Props = {
  readonly room: Room;
  readonly onChange: (room: Room) => void;
  readonly onWalk: (room: Room, path: string) => void;
  readonly onFigure: (path: string) => void;
};

/** Whether the walk closes, and the ways to mend it when it does not. Nothing is ever adjusted by itself. */
export function WalkPanel({ room, onChange, onWalk, onFigure }: Props) {
  const { context } = useJob("context");
  const outline = useMemo(() => outlineOf(room), [room]);
  const point = walkPoint(room, outline, context);
  const goOn = () => {
    const waiting = room.runs.find((run) => run.length.valueNm === null);
    if (waiting && !room.finished) {
      onFigure(`runs.${waiting.id}.length`);
      return;
    }
    const id = newId().slice(0, 8);
    onWalk(reopenWalk(room, id, context), `runs.${id}.length`);
  };
  if (!point) return null;
  const text = gapText(outline.gap, context.system);
  const { state } = outline;
  const mends = state === "small" || state === "large";
  return (
    <Notice title={`${point.message}.`} tone={point.kind === "assumed" ? "pine" : "clay"}>
      {text && !room.finished ? <Body>{`${text}.`}</Body> : null}
      {text && mends ? <Body>{text.replace("Now", "The end is").concat(".")}</Body> : null}
      {state === "small" ? <SmallGap room={room} onChange={onChange} /> : null}
      {mends ? <Explanations room={room} onChange={onChange} /> : null}
      {state === "spread" || state === "squared" ? (
        <Button label="Undo this and show the gap" kind="plain" onPress={() => onChange({ ...room, closing: null })} />
      ) : null}
      {state === "open" || mends ? (
        <Button label={room.finished ? "Take the walk up again" : "Go on walking"} kind="plain" onPress={goOn} />
      ) : null}
    </Notice>
  );
}

function SmallGap({ room, onChange }: Pick<Props, "room" | "onChange">) {
  const close = (how: Closing["how"]) => onChange(withClosing(room, how));
  return (
    <View className="gap-2">
      <Body>Small enough to share out, if you know it is the tape and not the drawing:</Body>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Spread it over the walls" kind="plain" onPress={() => close("spread")} />
        <Button label="Square up the last two" kind="plain" onPress={() => close("squared")} />
      </View>
    </View>
  );
}

function Explanations({ room, onChange }: Pick<Props, "room" | "onChange">) {
  const { context } = useJob("context");
  const found = useMemo(() => explainGap(room, context.system), [room, context.system]);
  const { gap } = walkOf(room);
  if (found.length === 0) {
    return (
      <Faint>{`No single slip explains ${gap ? formatLength(gapSizeNm(gap), context.system) : "it"}: measure the walls again.`}</Faint>
    );
  }
  const apply = (each: Explanation) => onChange({ ...room, runs: [...each.runs], closing: null });
  return (
    <View role="list" aria-label="What could explain the gap" className="gap-2">
      <Strong>What could explain it</Strong>
      {found.slice(0, EXPLANATIONS_SHOWN).map((each) => (
        <View
          key={`${each.slip}/${each.runId}/${each.action}`}
          role="listitem"
          className="gap-1 border-t border-rule pt-2"
        >
          <Body>{each.message}</Body>
          <Button
            label={each.action}
            name={`${runName(room, each.runId)}: ${each.action}`}
            kind="plain"
            className="self-start"
            onPress={() => apply(each)}
          />
        </View>
      ))}
    </View>
  );
}

import { type FigureMeasure, type FigureSlot, formatFigure } from "@wide-porch/core";
import { memo } from "react";
import { Pressable, View } from "react-native";
import { Body, Faint, Figure, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";

type Props = {
  readonly slots: readonly FigureSlot[];
  readonly activePath: string | undefined;
  readonly onOpen: (path: string) => void;
  /** The heading over figures that belong to nothing within the part. */
  readonly title: string;
  /** Without any heading: they stand under one already. */
  readonly untitled?: boolean;
  /** What is odd about a figure that stands all the same, by its path. */
  readonly told?: readonly { readonly path: string; readonly message: string }[] | undefined;
};

/** What a figure is called while nobody has read it. */
const NOT_YET: Partial<Record<FigureMeasure, string>> = { length: "not measured", count: "not counted" };

/** Every figure of a part as a row: the drawing in words, and a way in for thumbs and keyboards. */
export function FigureList({ slots, activePath, onOpen, title, untitled = false, told = [] }: Props) {
  const owners = [...new Set(slots.map(headingOf))];
  return (
    <View className="gap-4">
      {owners.map((owner) => (
        <View key={owner}>
          {untitled || (owner || title) === "" ? null : <Title level={2}>{owner || title}</Title>}
          {slots
            .filter((slot) => headingOf(slot) === owner)
            .map((slot) => (
              <FigureRow
                key={slot.path}
                slot={slot}
                active={slot.path === activePath}
                onOpen={onOpen}
                told={told.find(({ path }) => path === slot.path)?.message}
              />
            ))}
        </View>
      ))}
    </View>
  );
}

const headingOf = ({ group, of }: FigureSlot): string => group ?? of;

/** A wall's figures come anew at each change; most of them are as they were. */
const sameFigure = (a: FigureSlot, b: FigureSlot): boolean =>
  a.label === b.label &&
  a.follows === b.follows &&
  a.of === b.of &&
  a.figure.value === b.figure.value &&
  a.figure.assumed === b.figure.assumed &&
  a.figure.refused === b.figure.refused;

type RowProps = {
  readonly slot: FigureSlot;
  readonly active: boolean;
  readonly onOpen: (path: string) => void;
  readonly told: string | undefined;
};

const FigureRow = memo(
  function FigureRow({ slot, active, onOpen, told }: RowProps) {
    const { context } = useJob("context");
    const { value, assumed, refused } = slot.figure;
    const text =
      value === null ? (NOT_YET[slot.measure] ?? "not entered") : formatFigure(slot.measure, value, context.system);
    const unsaid = slot.follows ? "follows" : assumed ? "assumed" : "";
    const state = refused !== undefined ? `, ${refused} could not be used` : unsaid ? `, ${unsaid}` : "";
    return (
      <Pressable
        role="button"
        aria-label={`${slot.of ? `${slot.of}, ` : ""}${slot.label}: ${text}${state}`}
        onPress={() => onOpen(slot.path)}
        className={`min-h-12 justify-center border-b border-rule py-1 active:bg-pine-wash ${active ? "bg-pine-wash" : ""}`}
      >
        <View className="flex-row items-center justify-between gap-3">
          <Body>{slot.group ? slot.of : slot.label}</Body>
          <View className="flex-row items-baseline gap-2">
            {unsaid ? <Faint className={slot.follows ? "" : "text-clay"}>{unsaid}</Faint> : null}
            <Figure className={value === null ? "text-clay" : ""}>{text}</Figure>
          </View>
        </View>
        {told === undefined ? null : <Warning>{told}</Warning>}
        {refused !== undefined ? <Warning>{`“${refused}” could not be used. Press to correct it.`}</Warning> : null}
      </Pressable>
    );
  },
  (a, b) => a.active === b.active && a.told === b.told && a.onOpen === b.onOpen && sameFigure(a.slot, b.slot),
);

import { type Room, runName, withTurn } from "@wide-porch/core";
import { memo, useCallback, useRef, useState } from "react";
import { Pressable, TextInput, View } from "react-native";
import { Faint, Strong } from "../../components/Text";

type Props = { readonly room: Room; readonly runId: string; readonly onChange: (room: Room) => void };

const SQUARE = [
  { label: "Left", degrees: 90 },
  { label: "Straight on", degrees: 0 },
  { label: "Right", degrees: -90 },
];

/** Which way the walk turned before this wall: square by one press, any angle by its figure. */
export function TurnChips({ room, runId, onChange }: Props) {
  const index = room.runs.findIndex((run) => run.id === runId);
  const before = room.runs[index - 1];
  const [typing, setTyping] = useState(false);
  const [text, setText] = useState("");
  const startTyping = useCallback(() => setTyping(true), []);
  const stopTyping = useCallback(() => setTyping(false), []);
  const latest = useRef({ room, before });
  latest.current = { room, before };
  const turn = useCallback(
    (degrees: number) => {
      const now = latest.current;
      setTyping(false);
      if (now.before) onChange(withTurn(now.room, now.before.id, degrees));
    },
    [onChange],
  );
  if (!before) return <Faint>Stand in a corner and read the first wall. The room lies at your right hand.</Faint>;
  const { value, assumed } = before.turnDegrees;
  const square = SQUARE.some((each) => each.degrees === value);
  const typed = Number(text.replace(",", "."));
  const usable = text.trim() !== "" && typed > 0 && typed < 180;
  const angle = square ? "Angle" : `${Math.abs(value)}° ${value > 0 ? "left" : "right"}`;
  return (
    <View
      role="radiogroup"
      aria-label={`Turn after ${runName(room, before.id)}`}
      className="flex-row items-center gap-1.5"
    >
      {typing ? (
        <>
          <TextInput
            autoFocus
            value={text}
            onChangeText={setText}
            inputMode="decimal"
            aria-label="Turn by how many degrees"
            className="figures h-11 w-24 rounded-md border border-faint bg-sheet px-2 font-text text-base text-ink"
          />
          <Chip label="Left" chosen={false} disabled={!usable} degrees={typed} onTurn={turn} />
          <Chip label="Right" chosen={false} disabled={!usable} degrees={-typed} onTurn={turn} />
          <Chip label="Back" chosen={false} degrees={value} onTurn={stopTyping} />
        </>
      ) : (
        <>
          {SQUARE.map(({ label, degrees }) => (
            <Chip
              key={label}
              label={label}
              chosen={value === degrees}
              assumed={assumed}
              degrees={degrees}
              onTurn={turn}
            />
          ))}
          <Chip label={angle} chosen={!square} degrees={value} onTurn={startTyping} />
        </>
      )}
    </View>
  );
}

type ChipProps = {
  readonly label: string;
  readonly chosen: boolean;
  readonly assumed?: boolean;
  readonly disabled?: boolean;
  readonly degrees: number;
  readonly onTurn: (degrees: number) => void;
};

const Chip = memo(function Chip({ label, chosen, assumed = false, disabled = false, degrees, onTurn }: ChipProps) {
  const look = chosen
    ? assumed
      ? "border-dashed border-pine bg-pine-wash"
      : "border-pine bg-pine-wash"
    : "border-rule bg-sheet";
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-disabled={disabled}
      disabled={disabled}
      aria-label={`Turn ${label.toLowerCase()}${chosen && assumed ? ", taken to be so" : ""}`}
      onPress={() => onTurn(degrees)}
      className={`h-11 flex-1 items-center justify-center rounded-md border px-1 ${look} ${disabled ? "opacity-40" : ""}`}
    >
      <Strong className={`text-sm ${chosen ? "" : "font-text"}`}>{label}</Strong>
    </Pressable>
  );
});

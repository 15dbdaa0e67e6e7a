import {
  type FigureMeasure,
  type FigureSlot,
  formatFigure,
  type MeasuringSystem,
  otherWays,
  type Problem,
  parseFigure,
} from "@wide-porch/core";
import { memo, type ReactNode, useCallback, useEffect, useRef, useState } from "react";
import { Pressable, ScrollView, TextInput, View } from "react-native";
import { Glyph, IconButton } from "../components/Button";
import { Body, Faint, Figure, Strong, Title, Warning } from "../components/Text";
import { ChevronDown, ChevronLeft, ChevronRight, ChevronUp, Delete, X } from "../icons";
import { useSayPadOpen } from "../job/padOpen";
import { meterReadings, useWaitingReadings } from "../meter/readings";
import { useTokens } from "../theme/useTokens";
import { useKeysFolded } from "./keysFolded";
import { FRACTION_KEYS, hasFractions, type PadKey, padRows, rubOut, typeKey } from "./padKeys";

type Props = {
  readonly slots: readonly FigureSlot[];
  readonly path: string;
  readonly system: MeasuringSystem;
  readonly readings: readonly string[];
  /** Said of figures that belong to nothing within the part. */
  readonly partName: string;
  /** Makes the entry. */
  readonly onEnter: (path: string, typed: string) => Entered;
  readonly onMove: (path: string) => void;
  readonly onClose: () => void;
  /** What else can be said of the figure while it is entered: the turn before a wall. */
  readonly children?: ReactNode;
  /** What Enter goes on to, where that is not the next figure. */
  readonly thenText?: string | undefined;
};

/** What came of an entry: why it could not be used, or the figure to go on to where that is not the next. */
export type Entered = { readonly problem?: Problem | undefined; readonly goTo?: string };

/** The number entry. A hardware keyboard does all that the keys do: Enter for next, Shift+Enter for previous, Escape to close. */
export function TapePad(props: Props) {
  const { slots, path, system, partName, readings, onEnter, onMove, onClose } = props;
  const index = Math.max(
    0,
    slots.findIndex((slot) => slot.path === path),
  );
  const slot = slots[index];
  const [text, setText] = useState(slot?.figure.refused ?? "");
  const [problem, setProblem] = useState<Problem>();
  const [folded, setFolded] = useKeysFolded();
  const input = useRef<TextInput>(null);
  const refusedAtOpening = slot?.figure.refused ?? "";
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new figure starts a new entry; its later changes do not
  useEffect(() => {
    setText(refusedAtOpening);
    setProblem(undefined);
    input.current?.focus();
  }, [path]);
  useSayPadOpen();
  const change = useCallback((value: string | ((before: string) => string)) => {
    setText(value);
    setProblem(undefined);
  }, []);
  // A reading goes on with a sum that waits for its next figure; otherwise it is the entry.
  useEffect(
    () => meterReadings.takeBy((typed) => change((before) => (/[-+−×÷*/(]\s*$/.test(before) ? before + typed : typed))),
    [change],
  );
  const onKey = useCallback((key: PadKey) => change((before) => typeKey(before, key)), [change]);
  if (!slot) return null;

  const previous = slots[index - 1];
  const beside = slots[index + 1];
  // A side that goes along with the one opposite is not asked for: a look at it is one press away.
  const next = slots.slice(index + 1).find((each) => !each.likeOpposite);
  const { value, assumed } = slot.figure;
  const enter = (then: FigureSlot | undefined) => {
    // An empty entry confirms an assumed figure as it stands, and otherwise just moves on.
    const typed = text.trim() === "" && assumed && value !== null ? formatFigure(slot.measure, value, system) : text;
    const entered = typed.trim() === "" ? {} : onEnter(slot.path, typed);
    setProblem(entered.problem);
    if (entered.problem) return;
    const goTo = entered.goTo ?? then?.path;
    if (goTo !== undefined) onMove(goTo);
    else onClose();
  };

  return (
    <View role="form" aria-label="Tape pad" className="gap-1.5 border-t-2 border-ink bg-paper px-3 pb-2 pt-0.5">
      <View className="flex-row items-center">
        <View className="flex-1">
          <Title level={2}>{slot.label}</Title>
          <Faint numberOfLines={1}>{slot.of || partName}</Faint>
        </View>
        <IconButton
          name="Previous figure"
          icon={ChevronLeft}
          disabled={!previous}
          onPress={() => previous && onMove(previous.path)}
        />
        <IconButton
          name="Next figure"
          icon={ChevronRight}
          disabled={!beside}
          onPress={() => beside && onMove(beside.path)}
        />
        <IconButton name="Close tape pad" icon={X} onPress={onClose} />
      </View>
      <View className="rounded-md border-2 border-ink bg-sheet px-3 py-1 focus-within:border-pine">
        <TextInput
          ref={input}
          autoFocus
          value={text}
          onChangeText={change}
          inputMode="none"
          autoCorrect={false}
          maxLength={120}
          aria-label={`${slot.label}${slot.of ? ` of ${slot.of}` : ""}`}
          aria-describedby="tape-pad-result"
          aria-invalid={problem !== undefined}
          onKeyPress={(event) => {
            const native = event.nativeEvent as { key: string; shiftKey?: boolean };
            if (native.key === "Escape") onClose();
            if (native.key !== "Enter") return;
            event.preventDefault();
            enter(native.shiftKey ? previous : next);
          }}
          className="figures pad-entry min-h-10 w-full font-strong text-2xl text-ink"
        />
        <Result text={text} slot={slot} system={system} problem={problem} />
      </View>
      {props.children}
      {slot.measure === "length" ? <Readings readings={readings} onReading={change} /> : null}
      {folded ? null : <Keys measure={slot.measure} system={system} onKey={onKey} />}
      <View className="flex-row gap-2">
        <Pressable
          role="button"
          aria-label={folded ? "Show the keys" : "Fold the keys away"}
          aria-expanded={!folded}
          onPress={() => setFolded(!folded)}
          className="h-12 w-12 items-center justify-center rounded-md border border-rule bg-sheet active:bg-pine-wash"
        >
          <FoldIcon folded={folded} />
        </Pressable>
        <Pressable
          role="button"
          aria-label="Rub out"
          onPress={() => change(rubOut(text))}
          onLongPress={() => change("")}
          className="h-12 w-16 items-center justify-center rounded-md border border-rule bg-sheet active:bg-pine-wash"
        >
          <RubOutIcon />
        </Pressable>
        <Pressable
          role="button"
          onPress={() => enter(next)}
          className="h-12 flex-1 flex-row items-center justify-center rounded-md bg-pine active:opacity-80"
        >
          <Strong className="text-lg text-pine-ink">{thenText(props.thenText, slot, next)}</Strong>
        </Pressable>
      </View>
    </View>
  );
}

function thenText(given: string | undefined, slot: FigureSlot, next: FigureSlot | undefined): string {
  if (given) return `Enter, then ${given}`;
  return next ? `Enter, then ${nextName(slot, next)}` : "Enter";
}

const nextName = (now: FigureSlot, next: FigureSlot): string =>
  next.of === now.of || next.of === "" ? next.label.charAt(0).toLowerCase() + next.label.slice(1) : `${next.of}`;

function FoldIcon({ folded }: { readonly folded: boolean }) {
  const { colour } = useTokens();
  return <Glyph icon={folded ? ChevronUp : ChevronDown} size={22} colour={colour("ink")} />;
}

function RubOutIcon() {
  const { colour } = useTokens();
  return <Glyph icon={Delete} size={24} colour={colour("ink")} />;
}

type ResultProps = { text: string; slot: FigureSlot; system: MeasuringSystem; problem: Problem | undefined };

/** What would be stored, as it is typed; or why it cannot be. */
function Result({ text, slot, system, problem }: ResultProps) {
  const { measure } = slot;
  const { value, assumed } = slot.figure;
  const say = (figure: number) => formatFigure(measure, figure, system);
  const now = value === null ? "not measured yet" : `${assumed ? "assumed" : "now"} ${say(value)}`;
  const parsed = text.trim() === "" ? undefined : parseFigure(measure, text, system);
  const others = parsed?.ok ? otherWays(measure, parsed.value, system) : [];
  const live = "polite" as const;
  return (
    <View nativeID="tape-pad-result" aria-live={live} className="min-h-6">
      {problem ? <Warning>{`${problem.message} Still ${now}.`}</Warning> : null}
      {!problem && parsed?.ok ? (
        <Figure className="text-pine">{[`= ${say(parsed.value)}`, ...others].join("  ·  ")}</Figure>
      ) : null}
      {!problem && parsed && !parsed.ok ? <Body className="text-sm text-clay">{parsed.problem.message}</Body> : null}
      {!problem && !parsed ? <Faint>{now}</Faint> : null}
    </View>
  );
}

const TONES: Record<PadKey["tone"], string> = {
  figure: "bg-sheet border-rule",
  sign: "bg-paper border-rule",
  unit: "bg-pine-wash border-rule",
};

function Key({ pad, onPress, small = false }: { pad: PadKey; onPress: (key: PadKey) => void; small?: boolean }) {
  return (
    <Pressable
      role="button"
      aria-label={pad.name ?? pad.label}
      onPress={() => onPress(pad)}
      className={`h-12 flex-1 items-center justify-center rounded-md border active:bg-pine-wash ${TONES[pad.tone]}`}
    >
      <Strong className={small ? "text-base" : "text-xl"}>{pad.label}</Strong>
    </Pressable>
  );
}

type ReadingsProps = { readonly readings: readonly string[]; readonly onReading: (typed: string) => void };

/** What a meter sent while no entry was open, and the last entries, to be used again. */
const Readings = memo(function Readings({ readings, onReading }: ReadingsProps) {
  const waiting = useWaitingReadings();
  if (readings.length + waiting.length === 0) return null;
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="gap-2">
      {waiting.map(({ id, typed }) => (
        <Chip
          key={id}
          text={`Meter ${typed}`}
          name={`Use the meter's reading ${typed}`}
          solid
          onPress={() => {
            meterReadings.use(id);
            onReading(typed);
          }}
        />
      ))}
      {readings.map((reading) => (
        <Chip key={reading} text={reading} name={`Use reading ${reading}`} onPress={() => onReading(reading)} />
      ))}
    </ScrollView>
  );
});

type ChipProps = {
  readonly text: string;
  readonly name: string;
  readonly solid?: boolean;
  readonly onPress: () => void;
};

function Chip({ text, name, solid = false, onPress }: ChipProps) {
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onPress}
      className={`h-10 justify-center rounded-full border px-3 ${solid ? "border-pine bg-pine-wash" : "border-dashed border-faint"}`}
    >
      <Faint className={solid ? "text-pine" : ""}>{text}</Faint>
    </Pressable>
  );
}

type KeysProps = {
  readonly measure: FigureMeasure;
  readonly system: MeasuringSystem;
  readonly onKey: (key: PadKey) => void;
};

/** The keys do not change with what is typed, and are not drawn again for it. */
export const Keys = memo(function Keys({ measure, system, onKey }: KeysProps) {
  return (
    <View className="gap-1.5">
      {padRows(measure, system).map((row) => (
        <View key={row[0]?.label} className="flex-row gap-1.5">
          {row.map((key) => (
            <Key key={key.label} pad={key} onPress={onKey} />
          ))}
        </View>
      ))}
      {hasFractions(measure, system) ? (
        <View className="flex-row gap-1">
          {FRACTION_KEYS.map((key) => (
            <Key key={key.label} pad={key} onPress={onKey} small />
          ))}
        </View>
      ) : null}
    </View>
  );
});

import { type DimensionSlot, formatLength, type MeasuringSystem, type Problem, parseLength } from "@wide-porch/core";
import { memo, useCallback, useEffect, useRef, useState } from "react";
import { Pressable, ScrollView, TextInput, View } from "react-native";
import { IconButton } from "../components/Button";
import { Body, Faint, Figure, Strong, Title, Warning } from "../components/Text";
import { ChevronLeft, ChevronRight, Delete, X } from "../icons";
import { useTokens } from "../theme/useTokens";
import { FRACTION_KEYS, type PadKey, padRows, rubOut, typeKey } from "./padKeys";

type Props = {
  readonly slots: readonly DimensionSlot[];
  readonly path: string;
  readonly system: MeasuringSystem;
  readonly readings: readonly string[];
  /** Makes the entry; says why it could not be used. */
  readonly onEnter: (path: string, typed: string) => Problem | undefined;
  readonly onMove: (path: string) => void;
  readonly onClose: () => void;
};

/** The number entry. A hardware keyboard does all that the keys do: Enter for next, Shift+Enter for previous, Escape to close. */
export function TapePad({ slots, path, system, readings, onEnter, onMove, onClose }: Props) {
  const index = Math.max(
    0,
    slots.findIndex((slot) => slot.path === path),
  );
  const slot = slots[index];
  const [text, setText] = useState(slot?.dimension.refused ?? "");
  const [problem, setProblem] = useState<Problem>();
  const input = useRef<TextInput>(null);
  const refusedAtOpening = slot?.dimension.refused ?? "";
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new figure starts a new entry; its later changes do not
  useEffect(() => {
    setText(refusedAtOpening);
    setProblem(undefined);
    input.current?.focus();
  }, [path]);
  const change = useCallback((value: string | ((before: string) => string)) => {
    setText(value);
    setProblem(undefined);
  }, []);
  const onKey = useCallback((key: PadKey) => change((before) => typeKey(before, key)), [change]);
  if (!slot) return null;

  const previous = slots[index - 1];
  const next = slots[index + 1];
  const { valueNm } = slot.dimension;
  const enter = (then: DimensionSlot | undefined) => {
    // An empty entry confirms an assumed figure as it stands, and otherwise just moves on.
    const typed =
      text.trim() === "" && slot.dimension.assumed && valueNm !== null ? formatLength(valueNm, system) : text;
    const found = typed.trim() === "" ? undefined : onEnter(slot.path, typed);
    setProblem(found);
    if (found) return;
    if (then) onMove(then.path);
    else onClose();
  };

  return (
    <View role="form" aria-label="Tape pad" className="gap-2 border-t-2 border-ink bg-paper px-3 pb-3 pt-1">
      <View className="flex-row items-center">
        <View className="flex-1">
          <Title level={2}>{slot.label}</Title>
          <Faint numberOfLines={1}>{slot.of || "This wall"}</Faint>
        </View>
        <IconButton
          name="Previous figure"
          icon={ChevronLeft}
          disabled={!previous}
          onPress={() => previous && onMove(previous.path)}
        />
        <IconButton name="Next figure" icon={ChevronRight} disabled={!next} onPress={() => next && onMove(next.path)} />
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
      <Readings readings={readings} onReading={change} />
      <Keys system={system} onKey={onKey} />
      <View className="flex-row gap-2">
        <Pressable
          role="button"
          aria-label="Rub out"
          onPress={() => change(rubOut(text))}
          onLongPress={() => change("")}
          className="h-14 w-20 items-center justify-center rounded-md border border-rule bg-sheet active:bg-pine-wash"
        >
          <RubOutIcon />
        </Pressable>
        <Pressable
          role="button"
          onPress={() => enter(next)}
          className="h-14 flex-1 flex-row items-center justify-center rounded-md bg-pine active:opacity-80"
        >
          <Strong className="text-lg text-pine-ink">{next ? `Enter, then ${nextName(slot, next)}` : "Enter"}</Strong>
        </Pressable>
      </View>
    </View>
  );
}

const nextName = (now: DimensionSlot, next: DimensionSlot): string =>
  next.of === now.of || next.of === "" ? next.label.toLowerCase() : `${next.of}`;

function RubOutIcon() {
  const { colour } = useTokens();
  return <Delete size={24} color={colour("ink")} aria-hidden />;
}

type ResultProps = { text: string; slot: DimensionSlot; system: MeasuringSystem; problem: Problem | undefined };

/** What would be stored, as it is typed; or why it cannot be. */
function Result({ text, slot, system, problem }: ResultProps) {
  const { valueNm, assumed } = slot.dimension;
  const now = valueNm === null ? "not measured yet" : `${assumed ? "assumed" : "now"} ${formatLength(valueNm, system)}`;
  const parsed = text.trim() === "" ? undefined : parseLength(text, system);
  const live = "polite" as const;
  return (
    <View nativeID="tape-pad-result" aria-live={live} className="min-h-6">
      {problem ? <Warning>{`${problem.message} Still ${now}.`}</Warning> : null}
      {!problem && parsed?.ok ? (
        <Figure className="text-pine">{`= ${formatLength(parsed.value, system)}`}</Figure>
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

/** The last entries, to be used again. */
function Readings({ readings, onReading }: { readings: readonly string[]; onReading: (typed: string) => void }) {
  if (readings.length === 0) return null;
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="gap-2">
      {readings.map((reading) => (
        <Pressable
          key={reading}
          role="button"
          aria-label={`Use reading ${reading}`}
          onPress={() => onReading(reading)}
          className="h-10 justify-center rounded-full border border-dashed border-faint px-3"
        >
          <Faint>{reading}</Faint>
        </Pressable>
      ))}
    </ScrollView>
  );
}

type KeysProps = { readonly system: MeasuringSystem; readonly onKey: (key: PadKey) => void };

/** The keys do not change with what is typed, and are not drawn again for it. */
const Keys = memo(function Keys({ system, onKey }: KeysProps) {
  return (
    <View className="gap-1.5">
      {padRows(system).map((row) => (
        <View key={row[0]?.label} className="flex-row gap-1.5">
          {row.map((key) => (
            <Key key={key.label} pad={key} onPress={onKey} />
          ))}
        </View>
      ))}
      {system === "imperial" ? (
        <View className="flex-row gap-1">
          {FRACTION_KEYS.map((key) => (
            <Key key={key.label} pad={key} onPress={onKey} small />
          ))}
        </View>
      ) : null}
    </View>
  );
});

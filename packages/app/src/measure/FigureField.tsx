import { type FigureMeasure, formatFigure, type MeasuringSystem, otherWays, parseFigure } from "@wide-porch/core";
import type { ComponentProps } from "react";
import { Keyboard, Pressable, View } from "react-native";
import { Glyph } from "../components/Button";
import { CommitField, type Typing } from "../components/CommitField";
import { Floating } from "../components/Floating";
import { Body, Faint, Figure, Strong } from "../components/Text";
import { Delete } from "../icons";
import { useTokens } from "../theme/useTokens";
import { useWide } from "../theme/useWide";
import { rubOut, typeKey } from "./padKeys";
import { Keys } from "./TapePad";

type Props = Omit<ComponentProps<typeof CommitField>, "read" | "keys" | "multiline" | "inputMode"> & {
  readonly measure: FigureMeasure;
  /** Whose units a bare figure has; of no account to plain numbers. */
  readonly system?: MeasuringSystem;
};

const WRITTEN: ReadonlySet<FigureMeasure> = new Set(["length", "area", "pitch"]);
const PLAIN = /^-?\d+(\.\d+)?$/;

/** A figure in a form: typed with the tape pad's keys on the phone, with its arithmetic anywhere, and stored as a plain number. */
export function FigureField({ measure, system = "imperial", ...rest }: Props) {
  const wide = useWide();
  const read = (text: string) => {
    // Lengths, areas and pitches are kept as they were written.
    if (text === "" || PLAIN.test(text) || WRITTEN.has(measure)) return { text };
    const parsed = parseFigure(measure, text, system);
    return parsed.ok ? { text: plainText(measure, parsed.value) } : { problem: parsed.problem.message };
  };
  const name = rest.name ?? rest.label;
  return (
    <CommitField
      {...rest}
      read={read}
      inputMode={wide ? (WRITTEN.has(measure) ? "text" : "decimal") : "none"}
      keys={wide ? undefined : (typing) => <FigureKeys name={name} measure={measure} system={system} typing={typing} />}
    />
  );
}

const plainText = (measure: FigureMeasure, value: number): string =>
  measure === "money" ? String(Number(value.toFixed(2))) : String(Number(value.toFixed(4)));

type KeysProps = {
  readonly name: string;
  readonly measure: FigureMeasure;
  readonly system: MeasuringSystem;
  readonly typing: Typing;
};

/** The keys under the thumb. A press on them leaves the field where it is: it is still being typed in. */
function FigureKeys({ name, measure, system, typing }: KeysProps) {
  const { colour } = useTokens();
  const { text, change } = typing;
  const keepFocus = { onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault() };
  return (
    <Floating>
      <View
        {...keepFocus}
        role="group"
        aria-label="Tape keys"
        className="fixed inset-x-0 bottom-0 gap-1.5 border-t-2 border-ink bg-paper px-3 pb-2 pt-1"
        style={{ zIndex: 60 }}
      >
        <View className="flex-row items-baseline justify-between gap-3">
          <Faint numberOfLines={1} className="flex-1">
            {name}
          </Faint>
          <Figure className="text-lg">{text || " "}</Figure>
        </View>
        <Result measure={measure} system={system} text={text} />
        <Keys measure={measure} system={system} onKey={(key) => change((before) => typeKey(before, key))} />
        <View className="flex-row gap-2">
          <Pressable
            role="button"
            aria-label="Rub out"
            onPress={() => change(rubOut)}
            onLongPress={() => change(() => "")}
            className="h-12 w-16 items-center justify-center rounded-md border border-rule bg-sheet active:bg-pine-wash"
          >
            <Glyph icon={Delete} size={24} colour={colour("ink")} />
          </Pressable>
          <Pressable
            role="button"
            // The field is left, and saves itself; its keys go with it.
            onPress={() => Keyboard.dismiss()}
            className="h-12 flex-1 items-center justify-center rounded-md bg-pine active:opacity-80"
          >
            <Strong className="text-lg text-pine-ink">Enter</Strong>
          </Pressable>
        </View>
      </View>
    </Floating>
  );
}

/** What would be stored, once it is more than the figure itself; or why it cannot be. */
function Result({ measure, system, text }: Pick<KeysProps, "measure" | "system"> & { readonly text: string }) {
  if (text.trim() === "" || PLAIN.test(text.trim())) return null;
  const parsed = parseFigure(measure, text, system);
  if (!parsed.ok) return <Body className="text-sm text-clay">{parsed.problem.message}</Body>;
  const said = [`= ${formatFigure(measure, parsed.value, system)}`, ...otherWays(measure, parsed.value, system)];
  return <Figure className="text-pine">{said.join("  ·  ")}</Figure>;
}

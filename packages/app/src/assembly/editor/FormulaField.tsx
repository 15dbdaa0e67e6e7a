import type { AssemblyProblem, KnownName, Language } from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Body, Faint, Strong, Warning } from "../../components/Text";
import { TextField } from "../../components/TextField";

type Props = {
  readonly label: string;
  readonly value: string;
  readonly names: readonly KnownName[];
  readonly language: Language;
  readonly problem: AssemblyProblem | undefined;
  /** What it comes to on the wall chosen. */
  readonly result: string | undefined;
  readonly onChange: (formula: string) => void;
};

/** A formula with the names it can use to pick from; what is wrong in it is pointed to. */
export function FormulaField({ label, value, names, language, problem, result, onChange }: Props) {
  const [picking, setPicking] = useState(false);
  const add = (text: string) => onChange(value === "" ? text : `${value}${/[\s(]$/.test(value) ? "" : " "}${text}`);
  return (
    <View className="gap-1">
      <TextField
        label={label}
        value={value}
        onChangeText={onChange}
        autoCapitalize="none"
        autoCorrect={false}
        spellCheck={false}
        problem={problem?.message}
      />
      {problem?.span ? <Pointed text={value} from={problem.span.from} to={problem.span.to} /> : null}
      <View className="flex-row items-center justify-between gap-2">
        <Strong role="status" aria-live="polite" className="figures">
          {problem ? "" : (result ?? "")}
        </Strong>
        <Pressable
          role="button"
          aria-expanded={picking}
          aria-label={`${picking ? "Hide" : "Pick"} names for ${label}`}
          onPress={() => setPicking(!picking)}
          className="min-h-12 justify-center px-2"
        >
          <Strong className="text-sm text-pine">{picking ? "Hide names" : "Pick a name"}</Strong>
        </Pressable>
      </View>
      {picking ? (
        <View className="flex-row flex-wrap gap-1.5">
          {names.map((each) => (
            <Chip key={each.name} text={each.name} words={each.label} onPress={() => add(each.name)} />
          ))}
          {[...language.functions.values()].map(({ name, example, says }) => (
            <Chip key={name} text={example} words={says} onPress={() => add(example)} />
          ))}
        </View>
      ) : null}
    </View>
  );
}

function Chip({ text, words, onPress }: { text: string; words: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={words ? `Insert ${text}: ${words}` : `Insert ${text}`}
      onPress={onPress}
      className="min-h-11 justify-center rounded-md border border-rule bg-sheet px-2 py-1 active:bg-pine-wash"
    >
      <Strong className="text-sm">{text}</Strong>
      {words ? <Faint className="text-xs leading-4">{words}</Faint> : null}
    </Pressable>
  );
}

/** The formula with the faulty stretch marked by a line under it. */
function Pointed({ text, from, to }: { text: string; from: number; to: number }) {
  const bad = text.slice(from, Math.max(to, from + 1));
  return (
    <View className="flex-row flex-wrap" aria-hidden>
      <Body>{text.slice(0, from)}</Body>
      <Warning className="border-b-2 border-clay text-base leading-6">{bad === "" ? "▲" : bad}</Warning>
      <Body>{text.slice(Math.max(to, from + 1))}</Body>
    </View>
  );
}

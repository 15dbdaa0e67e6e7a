import type { Assembly, AssemblyExample, ExampleResult } from "@wide-porch/core";
import { plural } from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { CommitField } from "../../components/CommitField";
import { Body, Faint, Strong, Title, Warning } from "../../components/Text";
import { Plus, Trash2 } from "../../icons";
import { choicesIn, choiceText, countsIn, expectedIn, figuresIn, linesOf, type Read } from "./exampleText";

type Props = {
  readonly assembly: Assembly;
  readonly results: readonly ExampleResult[];
  readonly onChange: (examples: AssemblyExample[]) => void;
};

const BLANK: AssemblyExample = {
  name: "New example",
  figures: {},
  openings: [],
  counts: {},
  choices: {},
  expected: [],
  source: "Worked by hand",
};

/** Worked examples, worked again at every change: each says whether it comes out. */
export function Examples({ assembly, results, onChange }: Props) {
  const { examples } = assembly;
  const failing = results.filter((each) => !each.passes).length;
  const put = (index: number, example: AssemblyExample) =>
    onChange(examples.map((each, at) => (at === index ? example : each)));
  return (
    <View className="gap-2">
      <Title level={2}>Worked examples</Title>
      <View role="status">
        {examples.length === 0 ? <Faint>None yet. An example worked by hand guards against a slip.</Faint> : null}
        {failing > 0 ? (
          <Warning>{`${failing} of ${examples.length} do not come out. You can save all the same; it is marked.`}</Warning>
        ) : null}
        {examples.length > 0 && failing === 0 ? (
          <Strong className="text-pine">
            {plural(examples.length, "It comes out.", `All ${examples.length} come out.`)}
          </Strong>
        ) : null}
      </View>
      <View role="list">
        {examples.map((example, index) => (
          <ExampleRow
            // An example has no id; its place is what it is.
            // biome-ignore lint/suspicious/noArrayIndexKey: rows are only ever added at the end or taken out
            key={index}
            assembly={assembly}
            example={example}
            result={results[index]}
            onChange={(changed) => put(index, changed)}
            onRemove={() => onChange(examples.filter((_, at) => at !== index))}
          />
        ))}
      </View>
      <Button label="Add an example" kind="plain" icon={Plus} onPress={() => onChange([...examples, BLANK])} />
    </View>
  );
}

type RowProps = {
  readonly assembly: Assembly;
  readonly example: AssemblyExample;
  readonly result: ExampleResult | undefined;
  readonly onChange: (example: AssemblyExample) => void;
  readonly onRemove: () => void;
};

function ExampleRow({ assembly, example, result, onChange, onRemove }: RowProps) {
  const [open, setOpen] = useState(false);
  const outcome = result === undefined ? "working" : result.passes ? "comes out" : "does not come out";
  return (
    <View role="listitem" className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`Example ${example.name}: ${outcome}`}
        onPress={() => setOpen(!open)}
        className="min-h-14 justify-center py-2 active:bg-pine-wash"
      >
        <View className="flex-row items-center justify-between gap-3">
          <Strong className="flex-1">{example.name}</Strong>
          {result?.passes === false ? <Warning>does not come out</Warning> : <Faint>{outcome}</Faint>}
        </View>
        {(result?.failures ?? []).map((failure) => (
          <Body key={failure}>{failure}</Body>
        ))}
        <Faint>{example.source}</Faint>
      </Pressable>
      {open ? <ExampleForm assembly={assembly} example={example} onChange={onChange} onRemove={onRemove} /> : null}
    </View>
  );
}

type FieldProps<T> = {
  readonly label: string;
  readonly text: string;
  readonly read: (text: string) => Read<T>;
  readonly onRead: (value: T) => void;
};

/** Names with values, one on a line. What cannot be read stays as it was typed, with the reason. */
function PairsField<T>({ label, text, read, onRead }: FieldProps<T>) {
  return (
    <CommitField
      label={label}
      multiline
      value={text}
      check={(typed) => {
        const found = read(typed);
        return "problem" in found ? found.problem : undefined;
      }}
      onCommit={(typed) => {
        const found = read(typed);
        if ("value" in found) onRead(found.value);
      }}
    />
  );
}

type FormProps = Omit<RowProps, "result">;

function ExampleForm({ assembly, example, onChange, onRemove }: FormProps) {
  const set = (change: Partial<AssemblyExample>) => onChange({ ...example, ...change });
  const choices = Object.entries(example.choices).map(
    ([name, value]) => [name, choiceText(assembly, name, value)] as const,
  );
  return (
    <View role="form" aria-label={`Example ${example.name}`} className="gap-3 pb-4">
      <CommitField label="Name of the example" value={example.name} onCommit={(name) => name && set({ name })} />
      <PairsField
        label="Figures, one on a line: length = 12'"
        text={linesOf(Object.entries(example.figures))}
        read={figuresIn}
        onRead={(figures) => set({ figures })}
      />
      <PairsField
        label="Counts: count = 7"
        text={linesOf(Object.entries(example.counts))}
        read={countsIn}
        onRead={(counts) => set({ counts })}
      />
      <PairsField
        label="Choices: bearing = yes"
        text={linesOf(choices)}
        read={(text) => choicesIn(text, assembly)}
        onRead={(changed) => set({ choices: changed })}
      />
      <PairsField
        label="Expected: studs = 10"
        text={linesOf(example.expected.map(({ rule, quantity }) => [rule, quantity] as const))}
        read={expectedIn}
        onRead={(expected) => set({ expected })}
      />
      <CommitField label="Where it is from" value={example.source} onCommit={(source) => source && set({ source })} />
      <Button label="Take this example out" kind="quiet" icon={Trash2} onPress={onRemove} />
    </View>
  );
}

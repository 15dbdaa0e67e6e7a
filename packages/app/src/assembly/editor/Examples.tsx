import type { Assembly, AssemblyExample, ExampleResult } from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { CommitField } from "../../components/CommitField";
import { Body, Faint, Strong, Title, Warning } from "../../components/Text";
import { Plus, Trash2 } from "../../icons";

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
            {examples.length === 1 ? "It comes out." : `All ${examples.length} come out.`}
          </Strong>
        ) : null}
      </View>
      <View role="list">
        {examples.map((example, index) => (
          <ExampleRow
            // An example has no id; its place is what it is.
            // biome-ignore lint/suspicious/noArrayIndexKey: rows are only ever added at the end or taken out
            key={index}
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
  readonly example: AssemblyExample;
  readonly result: ExampleResult | undefined;
  readonly onChange: (example: AssemblyExample) => void;
  readonly onRemove: () => void;
};

function ExampleRow({ example, result, onChange, onRemove }: RowProps) {
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
      {open ? <ExampleForm example={example} onChange={onChange} onRemove={onRemove} /> : null}
    </View>
  );
}

const lines = (record: Readonly<Record<string, unknown>>): string =>
  Object.entries(record)
    .map(([key, value]) => `${key} = ${String(value)}`)
    .join("\n");

/** `length = 12'` on each line; lines without an equals sign are passed over. */
function pairsIn(text: string): [string, string][] {
  return text.split("\n").flatMap((line): [string, string][] => {
    const at = line.indexOf("=");
    return at < 1 ? [] : [[line.slice(0, at).trim(), line.slice(at + 1).trim()]];
  });
}

const scalarIn = (text: string): string | number | boolean => {
  if (text === "true" || text === "yes") return true;
  if (text === "false" || text === "no") return false;
  const number = Number(text);
  return text === "" || Number.isNaN(number) ? text : number;
};

function ExampleForm({ example, onChange, onRemove }: Omit<RowProps, "result">) {
  const set = (change: Partial<AssemblyExample>) => onChange({ ...example, ...change });
  return (
    <View role="form" aria-label={`Example ${example.name}`} className="gap-3 pb-4">
      <CommitField label="Name of the example" value={example.name} onCommit={(name) => name && set({ name })} />
      <CommitField
        label="Figures, one on a line: length = 12'"
        multiline
        value={lines(example.figures)}
        onCommit={(text) => set({ figures: Object.fromEntries(pairsIn(text)) })}
      />
      <CommitField
        label="Counts: count = 7"
        multiline
        value={lines(example.counts)}
        onCommit={(text) =>
          set({
            counts: Object.fromEntries(
              pairsIn(text).map(([key, value]) => [key, Math.max(0, Math.round(Number(value) || 0))]),
            ),
          })
        }
      />
      <CommitField
        label="Choices: bearing = yes"
        multiline
        value={lines(example.choices)}
        onCommit={(text) =>
          set({ choices: Object.fromEntries(pairsIn(text).map(([key, value]) => [key, scalarIn(value)])) })
        }
      />
      <CommitField
        label="Expected: studs = 10"
        multiline
        value={example.expected.map((each) => `${each.rule} = ${each.quantity}`).join("\n")}
        onCommit={(text) =>
          set({ expected: pairsIn(text).map(([rule, quantity]) => ({ rule, quantity: Number(quantity) || 0 })) })
        }
      />
      <CommitField label="Where it is from" value={example.source} onCommit={(source) => source && set({ source })} />
      <Button label="Take this example out" kind="quiet" icon={Trash2} onPress={onRemove} />
    </View>
  );
}

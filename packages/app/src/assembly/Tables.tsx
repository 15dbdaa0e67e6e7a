import { type AssemblyTable, type MeasuringSystem, readTable, tableText } from "@wide-porch/core";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Faint, Title } from "../components/Text";
import { Plus, Trash2 } from "../icons";

type Props = {
  readonly title: string;
  readonly words: string;
  readonly tables: readonly AssemblyTable[];
  readonly system: MeasuringSystem;
  readonly onChange: (tables: AssemblyTable[]) => void;
};

const BY: readonly { readonly value: AssemblyTable["by"]; readonly label: string }[] = [
  { value: "length", label: "A length" },
  { value: "number", label: "A number" },
];

const NAME = /^[a-z][A-Za-z0-9]{0,39}$/;

function freshTable(tables: readonly AssemblyTable[]): AssemblyTable {
  const names = new Set(tables.map((each) => each.name));
  let nth = tables.length + 1;
  while (names.has(`table${nth}`)) nth += 1;
  const columns: AssemblyTable["columns"] = [{ name: "value", label: "Value", kind: "number" }];
  return {
    name: `table${nth}`,
    label: `Table ${nth}`,
    by: "length",
    columns,
    rows: [{ upTo: 1_000_000_000, values: [1] }],
  };
}

/** Tables that formulas look values up in: typed as lines, the columns first. */
export function Tables({ title, words, tables, system, onChange }: Props) {
  return (
    <View className="gap-2">
      <Title level={2}>{title}</Title>
      <Faint>{words}</Faint>
      {tables.map((table, index) => (
        <OneTable
          // biome-ignore lint/suspicious/noArrayIndexKey: names are being typed; tables are added at the end or taken out
          key={index}
          table={table}
          others={tables.filter((_, at) => at !== index)}
          system={system}
          onChange={(changed) => onChange(tables.map((each, at) => (at === index ? changed : each)))}
          onRemove={() => onChange(tables.filter((_, at) => at !== index))}
        />
      ))}
      <Button label="Add a table" kind="plain" icon={Plus} onPress={() => onChange([...tables, freshTable(tables)])} />
    </View>
  );
}

type OneProps = {
  readonly table: AssemblyTable;
  readonly others: readonly AssemblyTable[];
  readonly system: MeasuringSystem;
  readonly onChange: (table: AssemblyTable) => void;
  readonly onRemove: () => void;
};

function OneTable({ table, others, system, onChange, onRemove }: OneProps) {
  const { name, label, by, columns } = table;
  const read = (text: string) => readTable(text, { name, label, by }, system, columns);
  const nameProblem = (text: string) => {
    if (!NAME.test(text)) return "Letters and digits, begun with a small letter.";
    return others.some((each) => each.name === text) ? `There is a table “${text}” already.` : undefined;
  };
  return (
    <View role="group" aria-label={label} className="gap-2 rounded-md border border-rule p-3">
      <View className="flex-row items-end gap-2">
        <CommitField
          label="What it is"
          value={label}
          boxClassName="min-w-0 flex-1"
          check={(text) => (text === "" ? "Say what it is." : undefined)}
          onCommit={(text) => onChange({ ...table, label: text.slice(0, 80) })}
        />
        <IconButton name={`Take out ${label}`} icon={Trash2} onPress={onRemove} />
      </View>
      <CommitField
        label="Name in formulas"
        value={name}
        check={nameProblem}
        onCommit={(text) => onChange({ ...table, name: text })}
      />
      <Choice label="Looked up by" options={BY} value={by} onChange={(next) => onChange({ ...table, by: next })} />
      <CommitField
        label="Rows, one on a line; between values a semicolon"
        name={`Rows of ${label}`}
        multiline
        className="min-h-32"
        value={tableText(table, system)}
        check={(text) => {
          const found = read(text);
          return found.ok ? undefined : found.problem.message;
        }}
        onCommit={(text) => {
          const found = read(text);
          if (found.ok) onChange(found.value);
        }}
      />
      <Faint>{`In a formula: lookup("${name}", ${by === "length" ? "length" : "1"}, "${columns[0]?.name ?? ""}")`}</Faint>
    </View>
  );
}

import type { AssemblyParameter, AssemblyProblem, MeasuringSystem, Scalar } from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { CommitField } from "../../components/CommitField";
import { Faint, Figure, Strong, Warning } from "../../components/Text";
import { TextField } from "../../components/TextField";
import { Trash2 } from "../../icons";
import { readValue, textOf } from "../parameterText";

type Props = {
  readonly parameter: AssemblyParameter;
  readonly index: number;
  readonly problems: readonly AssemblyProblem[];
  readonly system: MeasuringSystem;
  readonly onChange: (parameter: AssemblyParameter) => void;
  readonly onRemove: () => void;
};

const KINDS: readonly { readonly value: AssemblyParameter["kind"]; readonly label: string; readonly start: Scalar }[] =
  [
    { value: "number", label: "Number", start: 1 },
    { value: "length", label: "Length", start: 304_800_000 },
    { value: "yes-no", label: "Yes or no", start: false },
    { value: "choice", label: "One of a few", start: "" },
    { value: "sheet", label: "Sheet size", start: "" },
    { value: "section", label: "Timber size", start: "" },
  ];

/** A parameter as a row to read; pressed, as a form to change. */
export function ParameterRow({ parameter, index, problems, system, onChange, onRemove }: Props) {
  const [open, setOpen] = useState(parameter.label === "");
  const { label, name } = parameter;
  const shown = textOf(parameter, parameter.default, system);
  return (
    <View role="listitem" className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`Parameter ${label || index + 1}: ${shown}`}
        onPress={() => setOpen(!open)}
        className="min-h-14 flex-row items-center justify-between gap-3 py-2 active:bg-pine-wash"
      >
        <View className="min-w-0 flex-1">
          <Strong>{label || "New parameter"}</Strong>
          <Faint>{name}</Faint>
          {problems.map((each) => (
            <Warning key={each.path + each.code}>{each.message}</Warning>
          ))}
        </View>
        <Figure className="text-base">{shown}</Figure>
      </Pressable>
      {open ? <ParameterForm {...{ parameter, index, problems, system, onChange, onRemove }} /> : null}
    </View>
  );
}

function ParameterForm({ parameter, index, system, onChange, onRemove }: Props) {
  const set = (change: Partial<AssemblyParameter>) => onChange({ ...parameter, ...change });
  const measured = parameter.kind === "number" || parameter.kind === "length" || parameter.kind === "area";
  const limit = (key: "least" | "most", label: string) => (
    <CommitField
      label={label}
      value={parameter[key] === undefined ? "" : textOf(parameter, parameter[key] ?? 0, system)}
      boxClassName="w-40"
      check={(text) => {
        const read = text === "" ? { value: 0 } : readValue(parameter, text, system);
        return "problem" in read ? read.problem : undefined;
      }}
      onCommit={(text) => {
        const read = readValue(parameter, text, system);
        set({ [key]: text !== "" && "value" in read && typeof read.value === "number" ? read.value : undefined });
      }}
    />
  );
  return (
    <View role="form" aria-label={`Parameter ${parameter.label || index + 1}`} className="gap-3 pb-4">
      <TextField label="What it is" value={parameter.label} onChangeText={(label) => set({ label })} />
      <TextField
        label="Name in formulas"
        value={parameter.name}
        onChangeText={(name) => set({ name })}
        autoCapitalize="none"
      />
      <Choice
        label="Kind"
        value={parameter.kind}
        options={KINDS}
        onChange={(kind) => {
          const start = KINDS.find((each) => each.value === kind)?.start ?? 0;
          onChange({ name: parameter.name, label: parameter.label, kind, default: start });
        }}
      />
      {parameter.kind === "yes-no" ? (
        <Choice
          label="Usual"
          value={parameter.default === true}
          options={[
            { value: true, label: "Yes" },
            { value: false, label: "No" },
          ]}
          onChange={(value) => set({ default: value })}
        />
      ) : (
        <CommitField
          label="Usual value"
          value={textOf({ ...parameter, choices: undefined }, parameter.default, system)}
          check={(text) => {
            const read = readValue(parameter, text, system);
            return "problem" in read ? read.problem : undefined;
          }}
          onCommit={(text) => {
            const read = readValue(parameter, text, system);
            if ("value" in read) set({ default: read.value });
          }}
        />
      )}
      {measured ? (
        <View className="flex-row gap-3">
          {limit("least", "At least")}
          {limit("most", "At most")}
        </View>
      ) : null}
      {parameter.kind === "choice" || parameter.choices ? (
        <CommitField
          label="Choices, one on a line: value = words"
          multiline
          value={(parameter.choices ?? []).map((each) => `${each.value} = ${each.label}`).join("\n")}
          onCommit={(text) => set({ choices: choicesIn(text, typeof parameter.default === "number") })}
        />
      ) : null}
      <Button label="Take this parameter out" kind="quiet" icon={Trash2} onPress={onRemove} />
    </View>
  );
}

function choicesIn(text: string, asNumbers: boolean): AssemblyParameter["choices"] {
  const lines = text.split("\n").filter((line) => line.trim() !== "");
  const read = lines.map((line) => {
    const [value = "", ...words] = line.split("=");
    const plain = value.trim();
    return { value: asNumbers ? Number(plain) : plain, label: words.join("=").trim() || plain };
  });
  return read.length === 0 ? undefined : read;
}

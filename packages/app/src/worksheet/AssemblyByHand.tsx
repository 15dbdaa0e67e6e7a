import {
  type Assembly,
  type AssemblyRef,
  enterFigure,
  kindOf,
  PART_KINDS,
  type Part,
  type PartContext,
} from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Picker } from "../components/Picker";
import { Body, Faint } from "../components/Text";
import { TextField } from "../components/TextField";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";

const BY = [
  { value: "length", label: "A length" },
  { value: "area", label: "An area" },
  { value: "spots", label: "A number" },
] as const;
type By = (typeof BY)[number]["value"];

const FIGURES: Readonly<Record<By, readonly { readonly path: string; readonly label: string }[]>> = {
  length: [{ path: "length", label: "How long" }],
  area: [
    { path: "length", label: "How long" },
    { path: "width", label: "How wide" },
  ],
  spots: [{ path: "count", label: "How many" }],
};

/** The part with its figures entered, or what is wrong with one of them. */
function entered(part: Part, figures: Readonly<Record<string, string>>, context: PartContext): Part | string {
  let now = part;
  for (const [path, typed] of Object.entries(figures)) {
    const result = enterFigure(kindOf(now), now, path, typed, context);
    if (result.problem) return result.problem.message;
    now = result.part;
  }
  return now;
}

const refOf = ({ id, version }: Assembly): AssemblyRef => ({ id, version });

/** An assembly with its quantity typed: it becomes a part of the job like any other, with its working, and can be measured later. */
export function AssemblyByHand({ onDone }: { readonly onDone: () => void }) {
  const { rules, context, savePart } = useJob("rules", "context", "savePart");
  const offeredBy = (each: By) =>
    newestOf(rules.assemblies.filter(({ appliesTo, slot }) => appliesTo === each && slot === undefined));
  const [by, setBy] = useState<By>(() => BY.find(({ value }) => offeredBy(value).length > 0)?.value ?? "length");
  const [chosen, setChosen] = useState("");
  const [name, setName] = useState("");
  const [figures, setFigures] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string>();
  const offered = offeredBy(by);
  const assembly = offered.find(({ id }) => id === chosen);
  const add = () => {
    if (!assembly) return setProblem("Choose an assembly first.");
    const own = Object.fromEntries(FIGURES[by].map(({ path }) => [path, figures[path] ?? ""]));
    const part = entered(PART_KINDS[by].defaults(newId(), name.trim() || assembly.name, context), own, context);
    if (typeof part === "string") return setProblem(part);
    savePart({ ...part, uses: [{ id: newId(), assembly: refOf(assembly), choices: {} }] });
    return onDone();
  };
  const turn = (next: By) => {
    setBy(next);
    setChosen("");
    setFigures({});
    setProblem(undefined);
  };
  return (
    <View className="gap-3">
      <Choice label="Its quantity is" options={BY} value={by} onChange={turn} />
      {offered.length === 0 ? (
        <Body>No assembly is for this yet. Copy one, or write one, under Assemblies.</Body>
      ) : (
        <Picker
          label="Assembly"
          options={[
            { value: "", label: "Choose one" },
            ...offered.map(({ id, name: label }) => ({ value: id, label })),
          ]}
          value={chosen}
          onChange={setChosen}
        />
      )}
      {FIGURES[by].map(({ path, label }) => (
        <TextField
          key={path}
          label={label}
          value={figures[path] ?? ""}
          onChangeText={(text) => setFigures((before) => ({ ...before, [path]: text }))}
        />
      ))}
      <Faint>Sums and factors are read as on the tape pad: 3 x 12' 6", or 4.2 m + 1.1 m.</Faint>
      <TextField label="What it is called" value={name} onChangeText={setName} problem={problem} />
      <Button label="Put it in" disabled={offered.length === 0} onPress={add} />
    </View>
  );
}

/** One of each, in the newest version that is known here. */
function newestOf(assemblies: readonly Assembly[]): readonly Assembly[] {
  const newest = new Map<string, Assembly>();
  for (const each of assemblies) {
    const before = newest.get(each.id);
    if (!before || before.version < each.version) newest.set(each.id, each);
  }
  return [...newest.values()].toSorted((a, b) => a.name.localeCompare(b.name));
}

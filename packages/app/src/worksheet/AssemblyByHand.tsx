import {
  type Assembly,
  type AssemblyRef,
  enterFigure,
  kindOf,
  PART_KINDS,
  type Part,
  type PartContext,
} from "@wide-porch/core";
import { Controller, type UseFormSetError, useForm } from "react-hook-form";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { FormEntry } from "../components/FormEntry";
import { Picker } from "../components/Picker";
import { Body, Faint, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";

const BY = [
  { value: "length", label: "A length" },
  { value: "area", label: "An area" },
  { value: "spots", label: "A number" },
] as const;
type By = (typeof BY)[number]["value"];

type Figure = "length" | "width" | "count";
type Form = Record<Figure | "assembly" | "name", string> & { by: By };
const EMPTY: Form = { by: "length", assembly: "", length: "", width: "", count: "", name: "" };

const FIGURES: Readonly<Record<By, readonly { readonly path: Figure; readonly label: string }[]>> = {
  length: [{ path: "length", label: "How long" }],
  area: [
    { path: "length", label: "How long" },
    { path: "width", label: "How wide" },
  ],
  spots: [{ path: "count", label: "How many" }],
};

const refOf = ({ id, version }: Assembly): AssemblyRef => ({ id, version });

/** The part with its figures; undefined where one of them cannot be read, which is said beneath it. */
function entered(started: Part, by: By, form: Form, context: PartContext, setError: UseFormSetError<Form>) {
  let part = started;
  for (const { path } of FIGURES[by]) {
    const result = enterFigure(kindOf(part), part, path, form[path], context);
    if (result.problem) {
      setError(path, { message: result.problem.message });
      return undefined;
    }
    part = result.part;
  }
  return part;
}

/** An assembly with its quantity typed: it becomes a part of the job like any other, with its working, and can be measured later. */
export function AssemblyByHand({ onDone }: { readonly onDone: () => void }) {
  const { rules, context, savePart } = useJob("rules", "context", "savePart");
  const offeredBy = (each: By) =>
    newestOf(rules.assemblies.filter(({ appliesTo, slot }) => appliesTo === each && slot === undefined));
  const { control, handleSubmit, setError, reset, watch } = useForm<Form>({
    defaultValues: { ...EMPTY, by: BY.find(({ value }) => offeredBy(value).length > 0)?.value ?? "length" },
  });
  const by = watch("by");
  const offered = offeredBy(by);
  const add = () =>
    void handleSubmit((form) => {
      const assembly = offered.find(({ id }) => id === form.assembly);
      if (!assembly) {
        setError("assembly", { message: "Choose an assembly first." });
        return;
      }
      const started = PART_KINDS[by].defaults(newId(), form.name.trim() || assembly.name, context);
      const part = entered(started, by, form, context, setError);
      if (!part) return;
      savePart({ ...part, uses: [{ id: newId(), assembly: refOf(assembly), choices: {} }] });
      onDone();
    })();
  return (
    <View className="gap-3">
      <Choice
        label="Its quantity is"
        options={BY}
        value={by}
        onChange={(next) => reset({ ...EMPTY, by: next, name: watch("name") })}
      />
      {offered.length === 0 ? (
        <Body>No assembly is for this yet. Copy one, or write one, under Assemblies.</Body>
      ) : (
        <Controller
          control={control}
          name="assembly"
          render={({ field, fieldState }) => (
            <View className="gap-1">
              <Picker
                label="Assembly"
                options={[
                  { value: "", label: "Choose one" },
                  ...offered.map(({ id, name: label }) => ({ value: id, label })),
                ]}
                value={field.value}
                onChange={field.onChange}
              />
              {fieldState.error ? <Warning role="alert">{fieldState.error.message}</Warning> : null}
            </View>
          )}
        />
      )}
      {FIGURES[by].map(({ path, label }) => (
        <FormEntry key={path} control={control} name={path} label={label} onEnter={add} />
      ))}
      <Faint>Sums and factors are read as on the tape pad: 3 x 12' 6", or 4.2 m + 1.1 m.</Faint>
      <FormEntry control={control} name="name" label="What it is called" onEnter={add} />
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

import { type Assembly, formatSpacing, type Scalar, slotParametersOf } from "@wide-porch/core";
import { readValue } from "../parameterText";

export type Read<T> = { readonly value: T } | { readonly problem: string };
export type Pair = readonly [name: string, text: string];

/** `length = 12'`, one on each line; empty lines are passed over, any other that is none is told. */
export function pairsIn(text: string): Read<readonly Pair[]> {
  const pairs: Pair[] = [];
  for (const line of text.split("\n").filter((each) => each.trim() !== "")) {
    const at = line.indexOf("=");
    const name = line.slice(0, at).trim();
    if (at < 0 || name === "")
      return { problem: `“${line.trim()}”: a name, an equals sign and a value, such as a = 3.` };
    pairs.push([name, line.slice(at + 1).trim()]);
  }
  const twice = pairs.find(([name], index) => pairs.some(([other], at) => at < index && other === name));
  return twice ? { problem: `“${twice[0]}” is there twice.` } : { value: pairs };
}

/** Each pair read by its own rule; the first that cannot be is told, with its name. */
function readEach<T>(text: string, read: (name: string, typed: string) => Read<T>): Read<(readonly [string, T])[]> {
  const pairs = pairsIn(text);
  if ("problem" in pairs) return pairs;
  const values: (readonly [string, T])[] = [];
  for (const [name, typed] of pairs.value) {
    const found = read(name, typed);
    if ("problem" in found) return { problem: `${name}: ${found.problem}` };
    values.push([name, found.value]);
  }
  return { value: values };
}

const recordOf = <T>(read: Read<(readonly [string, T])[]>): Read<Record<string, T>> =>
  "problem" in read ? read : { value: Object.fromEntries(read.value) };

const NUMBER = "a number, such as 7 or 16.5.";
function numberIn(typed: string): Read<number> {
  const value = Number(typed);
  return typed === "" || !Number.isFinite(value) ? { problem: NUMBER } : { value };
}

/** Figures as they are typed on a tape pad: they are read where the example is worked. */
export const figuresIn = (text: string): Read<Record<string, string>> =>
  recordOf(
    readEach<string>(text, (_, typed) => (typed === "" ? { problem: "nothing stands there." } : { value: typed })),
  );

export const countsIn = (text: string): Read<Record<string, number>> =>
  recordOf(
    readEach(text, (_, typed) => {
      const read = numberIn(typed);
      const whole = "value" in read && Number.isSafeInteger(read.value) && read.value >= 0;
      return whole ? read : { problem: "a whole number, such as 7." };
    }),
  );

export function expectedIn(text: string): Read<{ rule: string; quantity: number }[]> {
  const read = readEach(text, (_, typed) => numberIn(typed));
  return "problem" in read ? read : { value: read.value.map(([rule, quantity]) => ({ rule, quantity })) };
}

type Named = Pick<Assembly, "parameters" | "slot" | "system" | "appliesTo">;

const kindOf = ({ parameters, slot, appliesTo }: Named, name: string) =>
  (
    parameters.find((each) => each.name === name) ??
    (slot === undefined ? undefined : slotParametersOf(appliesTo).find((each) => each.name === name))
  )?.kind;

/** Choices by what each parameter is: `bearing = yes`, `spacing = 16 in`. A length stays as it is typed. */
export const choicesIn = (text: string, assembly: Named): Read<Record<string, Scalar>> =>
  recordOf(
    readEach(text, (name, typed): Read<Scalar> => {
      const kind = kindOf(assembly, name);
      if (!kind) return { problem: "there is no such choice." };
      if (kind === "yes-no") {
        if (/^(yes|true)$/i.test(typed)) return { value: true };
        return /^(no|false)$/i.test(typed) ? { value: false } : { problem: "yes or no." };
      }
      const read = readValue({ kind }, typed, assembly.system);
      return kind === "length" && "value" in read ? { value: typed } : read;
    }),
  );

/** A choice as `choicesIn` reads it. */
export function choiceText(assembly: Named, name: string, value: Scalar): string {
  if (typeof value === "boolean") return value ? "yes" : "no";
  const isLength = typeof value === "number" && kindOf(assembly, name) === "length";
  return isLength ? formatSpacing(value, assembly.system) : String(value);
}

export const linesOf = (pairs: readonly (readonly [string, unknown])[]): string =>
  pairs.map(([name, value]) => `${name} = ${String(value)}`).join("\n");

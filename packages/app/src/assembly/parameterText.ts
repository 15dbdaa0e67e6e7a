import {
  type AssemblyParameter,
  formatSpacing,
  type MeasuringSystem,
  type PartContext,
  parseLength,
  type Scalar,
  type SlotParameter,
} from "@wide-porch/core";

export type ChoiceBooks = Pick<PartContext, "sections" | "units">;

type Option = { readonly value: Scalar; readonly label: string };

const YES_NO: readonly Option[] = [
  { value: true, label: "Yes" },
  { value: false, label: "No" },
];

/** What can be chosen, where it is one of a few; nothing for a figure that is typed. */
export function optionsOf(
  { kind, choices }: AssemblyParameter,
  system: MeasuringSystem,
  { sections, units }: ChoiceBooks,
  offered?: SlotParameter["sections"],
): readonly Option[] | undefined {
  if (kind === "yes-no") return YES_NO;
  if (choices) return choices;
  if (kind === "unit") {
    const own = Object.values(units).filter((unit) => unit.system === system);
    return own.map((unit) => ({ value: unit.id, label: unit.name }));
  }
  if (kind !== "section") return undefined;
  const own = Object.values(sections).filter(
    (section) =>
      section.system === system &&
      (offered === "boards") === (section.board === true) &&
      (offered !== undefined || section.stud),
  );
  return own.map((section) => ({ value: section.id, label: section.name }));
}

/** A parameter's value as it is shown: by its label where it is one of a few, lengths in the system. */
export function textOf({ kind, choices }: AssemblyParameter, value: Scalar, system: MeasuringSystem): string {
  const named = choices?.find((choice) => choice.value === value);
  if (named) return named.label;
  if (typeof value === "boolean") return value ? "Yes" : "No";
  return kind === "length" && typeof value === "number" ? formatSpacing(value, system) : String(value);
}

/** What was typed for a parameter, or why it cannot be read. */
export function readValue(
  { kind }: Pick<AssemblyParameter, "kind">,
  text: string,
  system: MeasuringSystem,
): { readonly value: Scalar } | { readonly problem: string } {
  if (kind === "length") {
    const read = parseLength(text.replace(/\s*in$/, '"'), system);
    return read.ok ? { value: read.value } : { problem: read.problem.message };
  }
  if (kind === "number" || kind === "area") {
    const number = Number(text);
    return text.trim() === "" || Number.isNaN(number) ? { problem: "A number, such as 3 or 0.5." } : { value: number };
  }
  return { value: text };
}

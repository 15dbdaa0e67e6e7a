import {
  type AssemblyParameter,
  type FigureMeasure,
  formatSpacing,
  type MeasuringSystem,
  type PartContext,
  parameterProblem,
  parseLength,
  type Scalar,
  type SlotParameter,
} from "@wide-porch/core";
import { memo } from "react";
import { Choice } from "../components/Choice";
import { FigureField } from "../measure/FigureField";

type Props = {
  readonly parameter: AssemblyParameter;
  readonly value: Scalar;
  /** Nobody has chosen it: it follows the house or the assembly. */
  readonly assumed: boolean;
  readonly system: MeasuringSystem;
  /** Sizes that can be chosen. */
  readonly books: Books;
  /** Of a section: any timber, or boards, where it is not a stud. */
  readonly sections?: SlotParameter["sections"];
  readonly onChange: (value: Scalar) => void;
};

type Books = Pick<PartContext, "sections" | "units">;

/** What the pad reads for a parameter that is no choice of a few. */
const MEASURES: Partial<Record<AssemblyParameter["kind"], FigureMeasure>> = { length: "length", area: "number" };

type Option = { readonly value: Scalar; readonly label: string };

const YES_NO: readonly Option[] = [
  { value: true, label: "Yes" },
  { value: false, label: "No" },
];

/** What can be chosen, where it is one of a few; nothing for a figure that is typed. */
export function optionsOf(
  { kind, choices }: AssemblyParameter,
  system: MeasuringSystem,
  { sections, units }: Books,
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

/** One parameter of an assembly: a choice of a few, or a figure. */
export const ParameterField = memo(function ParameterField(props: Props) {
  const { parameter, value, assumed, system, books, onChange } = props;
  const options = optionsOf(parameter, system, books, props.sections);
  if (options) {
    // A value that is none of the choices, from the house or typed before, is one more of them.
    const known = options.some((option) => option.value === value);
    const own = { value, label: textOf(parameter, value, system) };
    const shown = known ? options : [...options, own];
    return <Choice label={parameter.label} options={shown} value={value} assumed={assumed} onChange={onChange} />;
  }
  return (
    <FigureField
      measure={MEASURES[parameter.kind] ?? "number"}
      system={system}
      label={assumed ? `${parameter.label} (assumed)` : parameter.label}
      name={parameter.label}
      value={textOf(parameter, value, system)}
      check={(text) => {
        const read = readValue(parameter, text, system);
        return "problem" in read ? read.problem : parameterProblem(parameter, read.value, system);
      }}
      onCommit={(text) => {
        const read = readValue(parameter, text, system);
        if ("value" in read) onChange(read.value);
      }}
    />
  );
});

export function textOf({ kind, choices }: AssemblyParameter, value: Scalar, system: MeasuringSystem): string {
  const named = choices?.find((choice) => choice.value === value);
  if (named) return named.label;
  if (typeof value === "boolean") return value ? "Yes" : "No";
  return kind === "length" && typeof value === "number" ? formatSpacing(value, system) : String(value);
}

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

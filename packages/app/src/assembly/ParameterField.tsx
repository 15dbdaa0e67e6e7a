import {
  type AssemblyParameter,
  type FigureMeasure,
  type MeasuringSystem,
  parameterProblem,
  type Scalar,
  type SlotParameter,
} from "@wide-porch/core";
import { memo } from "react";
import { Choice } from "../components/Choice";
import { FigureField } from "../measure/FigureField";
import { type ChoiceBooks, optionsOf, readValue, textOf } from "./parameterText";

type Props = {
  readonly parameter: AssemblyParameter;
  readonly value: Scalar;
  /** Nobody has chosen it: it follows the house or the assembly. */
  readonly assumed: boolean;
  readonly system: MeasuringSystem;
  /** Sizes that can be chosen. */
  readonly books: ChoiceBooks;
  /** Of a section: any timber, or boards, where it is not a stud. */
  readonly sections?: SlotParameter["sections"];
  readonly onChange: (value: Scalar) => void;
};

/** What the pad reads for a parameter that is no choice of a few. */
const MEASURES: Partial<Record<AssemblyParameter["kind"], FigureMeasure>> = { length: "length", area: "number" };

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

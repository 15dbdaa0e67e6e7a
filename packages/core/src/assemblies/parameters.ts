import { FRAMING_PARAMETERS, PART_KINDS, type ParameterKind, type Scalar } from "../parts";
import { type Problem, problem } from "../problems/problem";
import { NM_PER_M } from "../units";
import type { Value } from "./formula/functions";
import { AREA, COUNT, type FormulaType, LENGTH, TEXT, typeOfKind, typeOfUnit, YES_NO } from "./formula/types";
import type { Assembly, AssemblyParameter, AssemblyPart } from "./schema";
import { type HouseStandard, standardValue } from "./standard";

export type NameKind = "measured" | "parameter" | "rule";

/** A name that an assembly's formulas can use. */
export type KnownName = {
  readonly name: string;
  readonly label: string;
  readonly type: FormulaType;
  readonly from: NameKind;
};

const KIND_TYPES: Record<ParameterKind | AssemblyParameter["kind"], FormulaType> = {
  length: LENGTH,
  area: AREA,
  number: COUNT,
  "yes-no": YES_NO,
  choice: TEXT,
  section: TEXT,
  sheet: TEXT,
};

export const typeOfParameter = ({ kind, default: value }: Pick<AssemblyParameter, "kind" | "default">): FormulaType =>
  kind === "choice" && typeof value === "number" ? COUNT : KIND_TYPES[kind];

const measuredNames = (part: AssemblyPart): KnownName[] =>
  PART_KINDS[part].quantityNames.map(({ name, label, kind }) => ({
    name,
    label,
    type: typeOfKind(kind),
    from: "measured",
  }));

/** Every wall has these, whatever its assembly says of them. */
const framingNames = (part: AssemblyPart): KnownName[] =>
  part === "stud-wall"
    ? FRAMING_PARAMETERS.map(({ name, label, kind }) => ({ name, label, type: KIND_TYPES[kind], from: "parameter" }))
    : [];

/** Measured values, parameters and rules, each once: an assembly's parameter goes before framing's of the same name. */
export function knownNames(assembly: Pick<Assembly, "appliesTo" | "parameters" | "rules">): KnownName[] {
  const own = assembly.parameters.map(
    (each): KnownName => ({ name: each.name, label: each.label, type: typeOfParameter(each), from: "parameter" }),
  );
  const ownNames = new Set(own.map((each) => each.name));
  return [
    ...measuredNames(assembly.appliesTo),
    ...own,
    ...framingNames(assembly.appliesTo).filter((each) => !ownNames.has(each.name)),
    ...assembly.rules.map(
      (rule): KnownName => ({ name: rule.name, label: rule.label, type: typeOfUnit(rule.unit), from: "rule" }),
    ),
  ];
}

/** Where a value comes from: a person's choice on the part, the house, or the assembly itself. */
export type Settled = { readonly value: Scalar; readonly from: "part" | "house" | "assembly" };

/** Why a value cannot stand for a parameter, in words; undefined where it can. */
export function parameterProblem(parameter: AssemblyParameter, value: Scalar): string | undefined {
  const { kind, label, least, most, choices } = parameter;
  const wanted = kind === "yes-no" ? "boolean" : typeof parameter.default;
  if (typeof value !== wanted) return `${label}: “${String(value)}” is no value for it.`;
  if (choices && !choices.some((choice) => choice.value === value)) {
    return `${label}: “${String(value)}” is not one of its choices.`;
  }
  if (typeof value !== "number") return undefined;
  const say = (limit: number) => (kind === "length" ? `${limit / NM_PER_M} m` : String(limit));
  if (least !== undefined && value < least) return `${label} is ${say(value)}; it is at least ${say(least)}.`;
  if (most !== undefined && value > most) return `${label} is ${say(value)}; it is at most ${say(most)}.`;
  return undefined;
}

/** Each parameter's value: the part's choice, else the house's, else the assembly's. One that cannot stand is passed over. */
export function settleParameters(
  assembly: Assembly,
  choices: Readonly<Record<string, Scalar>>,
  standard: HouseStandard | undefined,
  /** Parameters that were settled with the part, and are passed over here. */
  known: ReadonlyMap<string, unknown> = new Map(),
): { readonly settled: ReadonlyMap<string, Settled>; readonly problems: readonly Problem[] } {
  const settled = new Map<string, Settled>();
  const problems: Problem[] = [];
  for (const parameter of assembly.parameters) {
    const { name } = parameter;
    if (known.has(name)) continue;
    const own = choices[name];
    const house = standardValue(standard, assembly.id, name);
    settled.set(name, settle(parameter, own, house, problems));
  }
  return { settled, problems };
}

/** The first in line that stands; what does not is noted. */
function settle(
  parameter: AssemblyParameter,
  own: Scalar | undefined,
  house: Scalar | undefined,
  problems: Problem[],
): Settled {
  const stands = (value: Scalar | undefined): value is Scalar => {
    const wrong = value === undefined ? undefined : parameterProblem(parameter, value);
    if (wrong !== undefined) {
      problems.push(problem("out-of-limits", `choices.${parameter.name}`, `${wrong} The next in line is used.`));
    }
    return value !== undefined && wrong === undefined;
  };
  if (stands(own)) return { value: own, from: "part" };
  if (stands(house)) return { value: house, from: "house" };
  return { value: parameter.default, from: "assembly" };
}

/** A parameter's value as formulas take it: lengths in metres. */
export const formulaValue = (kind: ParameterKind | AssemblyParameter["kind"], value: Scalar): Value =>
  kind === "length" && typeof value === "number" ? value / NM_PER_M : value;

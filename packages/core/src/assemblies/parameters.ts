import { PART_KINDS, type ParameterKind, type Scalar, type SlotParameter } from "../kinds";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import { formatLength, type MeasuringSystem, NM_PER_M } from "../units";
import type { Value } from "./formula/layoutAnswers";
import { AREA, COUNT, type FormulaType, LENGTH, TEXT, typeOfKind, typeOfUnit, YES_NO } from "./formula/types";
import type { Books } from "./library";
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
  unit: TEXT,
  sheet: TEXT,
};

export function typeOfParameter({
  kind,
  default: value,
  choices,
}: Pick<AssemblyParameter, "kind" | "default" | "choices">): FormulaType {
  if (kind === "choice" && typeof value === "number") return COUNT;
  const type = KIND_TYPES[kind];
  if (type.is !== "text" || !choices) return type;
  return { is: "text", among: choices.map((each) => String(each.value)) };
}

/** The choices that building such a part asks for, whatever its assembly says of them. */
export function slotParametersOf(part: AssemblyPart): readonly SlotParameter[] {
  const kind: { readonly slot?: { readonly parameters: readonly SlotParameter[] } } = PART_KINDS[part];
  return kind.slot?.parameters ?? [];
}

const typeOfSlot = ({ kind, among }: SlotParameter): FormulaType => (among ? { is: "text", among } : KIND_TYPES[kind]);

/** An assembly may offer less than a part can be: a formula may name either. */
function withSlot(type: FormulaType, { among: more }: SlotParameter): FormulaType {
  return type.is === "text" && type.among && more
    ? { is: "text", among: [...new Set([...type.among, ...more])] }
    : type;
}

const measuredNames = (part: AssemblyPart): KnownName[] =>
  PART_KINDS[part].quantityNames.map(({ name, label, kind }) => ({
    name,
    label,
    type: typeOfKind(kind),
    from: "measured",
  }));

/** Measured values, parameters and rules, each once: an assembly's parameter goes before the slot's of the same name. */
export function knownNames(assembly: Pick<Assembly, "appliesTo" | "parameters" | "rules">): KnownName[] {
  const ofSlot = new Map(slotParametersOf(assembly.appliesTo).map((each) => [each.name, each]));
  const own = assembly.parameters.map((each): KnownName => {
    const slot = ofSlot.get(each.name);
    const type = slot ? withSlot(typeOfParameter(each), slot) : typeOfParameter(each);
    return { name: each.name, label: each.label, type, from: "parameter" };
  });
  const ownNames = new Set(own.map((each) => each.name));
  const others = [...ofSlot.values()].filter((each) => !ownNames.has(each.name));
  return [
    ...measuredNames(assembly.appliesTo),
    ...own,
    ...others.map(
      (each): KnownName => ({ name: each.name, label: each.label, type: typeOfSlot(each), from: "parameter" }),
    ),
    ...assembly.rules.map(
      (rule): KnownName => ({ name: rule.name, label: rule.label, type: typeOfUnit(rule.unit), from: "rule" }),
    ),
  ];
}

/** Where a value comes from: a person's choice on the part, the house, or the assembly itself. */
export type ParameterValue = { readonly value: Scalar; readonly from: "part" | "house" | "assembly" };

function bookProblem({ kind, label }: AssemblyParameter, value: Scalar, system: MeasuringSystem, book: Books) {
  const of =
    kind === "sheet" ? book.sheets : kind === "section" ? book.sections : kind === "unit" ? book.units : undefined;
  if (!of) return undefined;
  const found = ownValue<{ readonly system: MeasuringSystem }>(of, String(value));
  if (!found) return `${label}: there is no “${String(value)}” in the library.`;
  return found.system === system ? undefined : `${label}: “${String(value)}” is of the other measuring system.`;
}

/**
 * Why a value cannot stand for a parameter, in words; undefined where it can. With a book, whether timber and sheets that it
 * names are there, and of the assembly's measuring system.
 */
export function parameterProblem(
  parameter: AssemblyParameter,
  value: Scalar,
  system: MeasuringSystem,
  book?: Books,
): string | undefined {
  const { kind, label, least, most, choices } = parameter;
  const wanted = kind === "yes-no" ? "boolean" : typeof parameter.default;
  if (typeof value !== wanted) return `${label}: “${String(value)}” is no value for it.`;
  if (choices && !choices.some((choice) => choice.value === value)) {
    return `${label}: “${String(value)}” is not one of its choices.`;
  }
  const missing = book && bookProblem(parameter, value, system, book);
  if (missing) return missing;
  if (typeof value !== "number") return undefined;
  if (!Number.isFinite(value)) return `${label}: this is no number.`;
  if (kind === "length" && !Number.isSafeInteger(value)) return `${label}: a length is whole nanometres.`;
  const say = (limit: number) => (kind === "length" ? formatLength(limit, system) : String(limit));
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
  book?: Books,
): { readonly settled: ReadonlyMap<string, ParameterValue>; readonly problems: readonly Problem[] } {
  const settled = new Map<string, ParameterValue>();
  const problems: Problem[] = [];
  for (const parameter of assembly.parameters) {
    const { name } = parameter;
    if (known.has(name)) continue;
    const own = ownValue(choices, name);
    const house = standardValue(standard, assembly.id, name);
    const wrong = (value: Scalar) => parameterProblem(parameter, value, assembly.system, book);
    settled.set(name, settle(parameter, own, house, wrong, problems));
  }
  return { settled, problems };
}

/** The first in line that stands; what does not is noted. */
function settle(
  parameter: AssemblyParameter,
  own: Scalar | undefined,
  house: Scalar | undefined,
  wrongWith: (value: Scalar) => string | undefined,
  problems: Problem[],
): ParameterValue {
  const stands = (value: Scalar | undefined): value is Scalar => {
    const wrong = value === undefined ? undefined : wrongWith(value);
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

import {
  COUNT,
  checkFormula,
  childrenOf,
  compileFormula,
  type Expression,
  type FormulaType,
  type Ground,
  type KnownName,
  type Language,
  type ReadyFormula,
  type Value,
} from "../assemblies";
import { choiceWords, type WorkingStep } from "../kinds";
import { formatArea, formatLength, formatVolume, type MeasuringSystem, NM_PER_M } from "../units";
import { isOfLayout, layoutWords } from "./layoutWords";

/** A value as a working shows it, by what it is. */
export function valueText(value: Value, known: Pick<KnownName, "type"> | undefined, system: MeasuringSystem): string {
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return choiceWords(value);
  const metres = known?.type.is === "number" ? known.type.dims[0] : 0;
  if (metres === 1) return formatLength(Math.round(value * NM_PER_M), system);
  if (metres === 2) return formatArea(value, system);
  if (metres === 3) return formatVolume(value, system);
  return String(Number(value.toFixed(3)));
}

const WORDS: readonly (readonly [RegExp, string])[] = [
  [/\bceil\b/g, "round up"],
  [/\bfloor\b/g, "round down"],
  [/\*/g, "×"],
  [/\//g, "÷"],
];

/** A place in a formula, what it comes to, and what it is called: beside its figure, and where it stands. */
type Put = {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly label: string;
  readonly words: string;
};

type Shown = {
  readonly ground: Ground;
  readonly names: ReadonlyMap<string, KnownName>;
  readonly language: Language;
  readonly system: MeasuringSystem;
};

/** What an expression of a sound formula gives. */
function typeOf(expression: Expression, text: string, { names, language }: Shown): FormulaType {
  const checked = checkFormula(text, expression, new Map([...names].map(([name, { type }]) => [name, type])), language);
  return checked.ok ? checked.type : COUNT;
}

function figures(expression: Expression, text: string, shown: Shown): Put[] {
  const { ground, names, system } = shown;
  if (expression.is === "name") {
    const value = ground.values.get(expression.name);
    if (value === undefined) return [];
    const known = names.get(expression.name);
    const { from, to } = expression.span;
    const label = known?.label ?? expression.name;
    return [{ from, to, text: valueText(value, known, system), label, words: expression.name }];
  }
  if (expression.is === "property") {
    const worked = compileFormula(expression)(ground);
    if (!worked.ok) return [];
    const label = `${names.get(expression.of)?.label ?? expression.of}: ${expression.property}`;
    const words = `${expression.of}.${expression.property}`;
    return [
      {
        ...expression.span,
        text: valueText(worked.value, { type: typeOf(expression, text, shown) }, system),
        label,
        words,
      },
    ];
  }
  if (expression.is === "call" && isOfLayout(expression.name, shown.language)) {
    const worked = compileFormula(expression)(ground);
    if (!worked.ok) return [];
    const type = typeOf(expression, text, shown);
    const words = layoutWords(expression, text, shown.language);
    const label = words.charAt(0).toUpperCase() + words.slice(1);
    return [{ ...expression.span, text: valueText(worked.value, { type }, system), label, words }];
  }
  return childrenOf(expression).flatMap((child) => figures(child, text, shown));
}

const inWords = (text: string): string => WORDS.reduce((said, [sign, word]) => said.replace(sign, word), text);

/** A formula with the numbers put in, and each of them beside its name. */
export function explainFormula(
  { text, expression }: ReadyFormula,
  shown: Shown,
): { readonly formula: string; readonly withNumbers: string; readonly steps: readonly WorkingStep[] } {
  const puts = figures(expression, text, shown).toSorted((a, b) => a.from - b.from);
  const steps = [...new Map(puts.map((put) => [put.label, { label: put.label, value: put.text }])).values()];
  return { formula: filled(text, puts, "words"), withNumbers: filled(text, puts, "text"), steps };
}

function filled(text: string, puts: readonly Put[], by: "words" | "text"): string {
  let said = "";
  let at = 0;
  for (const put of puts) {
    said += inWords(text.slice(at, put.from)) + put[by];
    at = put.to;
  }
  return said + inWords(text.slice(at));
}

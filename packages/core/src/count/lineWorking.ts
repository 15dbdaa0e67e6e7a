import { type Assembly, type CompiledRule, type Ground, languageOf, type ReadyFormula } from "../assemblies";
import { kindOf, PART_KINDS } from "../kinds";
import type { Working } from "./countLine";
import { explainFormula } from "./explain";
import { quantityText } from "./quantityText";
import { namesOf, type Round } from "./round";

/** What a line says of how it was counted. */
export type Counted = {
  readonly sectionId: string;
  readonly missing?: string;
};

/** How a line came to be: by the layout itself where it only counts pieces, else by its formula with the numbers put in. */
export function workingOf(compiled: CompiledRule, round: Round, counted: Counted, quantity: number): Working {
  const { rule, formula, roles } = compiled;
  const { layout, context } = round;
  const shared = { sentence: rule.sentence, source: rule.source };
  if (counted.missing !== undefined || !formula) {
    const said = counted.missing ?? "Its formula cannot be read.";
    return { ...shared, formula: rule.formula, withNumbers: said, steps: [], from: fromOf(compiled, round) };
  }
  const [role] = roles;
  const ofLayout = role !== undefined && onlyCounts(formula) ? layout.workingOf(role, counted.sectionId) : undefined;
  const text = quantityText(quantity, rule.unit, context.system);
  if (ofLayout) {
    const from = ofLayout.from.length > 0 ? ofLayout.from : fromOf(compiled, round);
    return { ...shared, ...repeated({ ...ofLayout, from }, layout.repeats, text) };
  }
  const explained = explainRule(formula, round);
  const times = layout.repeats === 1 ? "" : ` × ${layout.repeats} walls`;
  return {
    ...shared,
    formula: explained.formula,
    withNumbers: `${explained.withNumbers}${times} = ${text}`,
    steps: explained.steps,
    from: fromOf(compiled, round),
  };
}

/** Whether a formula only counts what is laid out, so that the layout itself can tell how it came about. */
const onlyCounts = ({ expression }: ReadyFormula): boolean =>
  expression.is === "call" && (expression.name === "pieces" || expression.name === "sheets");

function repeated<T extends { readonly withNumbers: string }>(working: T, repeats: number, text: string): T {
  if (repeats === 1) return working;
  return { ...working, withNumbers: `(${working.withNumbers}) × ${repeats} walls = ${text}` };
}

function explainRule(formula: ReadyFormula, { ground, assembly, context }: Round) {
  const shown: Ground = ground;
  return explainFormula(formula, {
    ground: shown,
    names: namesOf(assembly),
    language: languageOf(assembly),
    system: context.system,
  });
}

/** The figure that a measured value is read as; the part as a whole for one that comes of several. */
const figureOf = ({ appliesTo }: Assembly, name: string): string =>
  PART_KINDS[appliesTo].quantityNames.find((each) => each.name === name)?.path ?? "";

/** The figures and choices of the part that a rule's formulas name. */
function fromOf({ uses, item }: CompiledRule, { part, assembly, useId }: Round): Working["from"] {
  const names = namesOf(assembly);
  const wanted = [...new Set([...uses, ...item.names])];
  return wanted.flatMap((name) => {
    const known = names.get(name);
    if (!known || known.from === "rule") return [];
    if (known.from === "measured") return [{ path: figureOf(assembly, name), label: known.label }];
    const ofSlot = useId === "" ? kindOf(part).slot?.parameters.find((each) => each.name === name) : undefined;
    return [{ path: ofSlot?.path ?? `choices.${name}`, label: known.label }];
  });
}

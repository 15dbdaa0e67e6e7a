import {
  type AssemblyRule,
  type CompiledRule,
  compileAssembly,
  formulaValue,
  settleParameters,
  type Value,
} from "../assemblies";
import { type Problem, problem } from "../problems/problem";
import type { CountedLine } from "./countedLine";
import { linesBySection, makeLine } from "./makeLine";
import { type Applied, namesOf, piecesByRole, piecesOf, type Round } from "./round";
import { scopeOf } from "./scope";

export type CountedAssembly = {
  readonly lines: readonly CountedLine[];
  /** The sentences of the scope, with the values in them. */
  readonly scope: readonly string[];
  readonly problems: readonly Problem[];
};

/** Works out every rule of an assembly for a part. A rule that cannot be worked out says why; the others are counted. */
export function countAssembly(applied: Applied): CountedAssembly {
  const { assembly, choices, laidPart, quantities, standard } = applied;
  const compiled = compileAssembly(assembly);
  const { settled, problems: unsettled } = settleParameters(assembly, choices, standard, laidPart.choices);
  const values = new Map<string, Value>(laidPart.choices);
  for (const parameter of assembly.parameters) {
    const value = settled.get(parameter.name)?.value;
    if (value !== undefined) values.set(parameter.name, formulaValue(parameter.kind, value));
  }
  for (const name in quantities) {
    const value = quantities[name];
    if (value !== undefined) values.set(name, value);
  }
  const round: Round = { ...applied, ground: { values, laid: laidPart.laid }, pieces: piecesByRole(laidPart) };
  const lines: CountedLine[] = [];
  const problems: Problem[] = [...unsettled];
  const left = new Set(compiled.rules);
  for (const each of compiled.inOrder) {
    left.delete(each);
    const counted = countRule(each, round);
    lines.push(...counted.lines);
    if (counted.problem) problems.push(counted.problem);
  }
  for (const each of left) {
    const said = compiled.problems.find((found) => found.code === "cycle")?.message ?? "It goes round in a circle.";
    const counted = unworked(each, round, said);
    lines.push(...counted.lines);
    problems.push(counted.problem);
  }
  return { lines, scope: scopeOf(compiled, { ...round, names: namesOf(assembly), words: laidPart.words }), problems };
}

/** A figure on the way to others: nothing is bought or done by it. */
const isStep = (rule: AssemblyRule): boolean => rule.item === "" && rule.unit !== "hour";

type CountedRule = { readonly lines: readonly CountedLine[]; readonly problem?: Problem };

function unworked(compiled: CompiledRule, round: Round, why: string): CountedRule & { problem: Problem } {
  const { rule } = compiled;
  const line = makeLine(compiled, round, { quantity: 0, sectionId: "", pieces: [], missing: why });
  return { lines: [line], problem: problem("rule-not-counted", `rules.${rule.name}`, `${rule.label}: ${why}`) };
}

function countRule(compiled: CompiledRule, round: Round): CountedRule {
  const { formula, when, rule } = compiled;
  const { ground } = round;
  const [own] = compiled.problems;
  if (own || !formula) return unworked(compiled, round, own?.message ?? "Its formula cannot be read.");
  if (when) {
    const holds = when.run(ground);
    if (!holds.ok) return unworked(compiled, round, holds.problem.message);
    if (holds.value !== true) {
      ground.values.set(rule.name, 0);
      return { lines: [] };
    }
  }
  const worked = formula.run(ground);
  if (!worked.ok) return unworked(compiled, round, worked.problem.message);
  const quantity = Number(worked.value);
  if (quantity < 0) return unworked(compiled, round, `It comes to less than nothing: ${quantity}.`);
  ground.values.set(rule.name, quantity);
  if (quantity === 0 || isStep(rule)) return { lines: [] };
  if (rule.item.includes("{section}")) return { lines: linesBySection(compiled, round, quantity) };
  const pieces = piecesOf(compiled, round);
  return { lines: [makeLine(compiled, round, { quantity, sectionId: "", pieces })] };
}

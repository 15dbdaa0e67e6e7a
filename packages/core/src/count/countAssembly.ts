import {
  type AssemblyRule,
  type CompiledAssembly,
  type CompiledRule,
  compileAssembly,
  formulaValue,
  type ParameterValue,
  propertyValue,
  settleParameters,
  type Value,
} from "../assemblies";
import { type Problem, problem } from "../problems/problem";
import type { CountedLine } from "./countedLine";
import type { LineSupply } from "./countLine";
import { type Came, linesByItem, linesBySection, makeLine } from "./makeLine";
import { type Applied, namesOf, piecesByRole, piecesOf, type Round } from "./round";
import { scopeOf } from "./scope";

export type CountedAssembly = {
  readonly lines: readonly CountedLine[];
  /** Says the sentences of the scope, with the values in them. */
  readonly scope: () => readonly string[];
  readonly problems: readonly Problem[];
};

/** What the rules of one applied assembly have come to so far. */
type Tally = { readonly lines: CountedLine[]; readonly problems: Problem[] };

/** Works out every rule of an assembly for a part. A rule that cannot be worked out says why; the others are counted. */
export function countAssembly(applied: Applied): CountedAssembly {
  const { assembly, choices, layout, library, useId } = applied;
  const compiled = compileAssembly(assembly);
  const { settled, problems: unsettled } = settleParameters(
    assembly,
    choices,
    library.standard,
    // What frames the part was settled with it; another assembly's parameter of the same name is its own.
    useId === "" ? layout.choices : undefined,
    library,
  );
  const values = valuesOf(applied, settled);
  const ground = {
    values,
    laid: layout.laid,
    rows: applied.rows,
    tables: new Map(assembly.tables.map((table) => [table.name, table])),
    propertyOf: (name: string, property: string) => propertyOf(applied, values, name, property),
  };
  const round: Round = { ...applied, ground, pieces: piecesByRole(layout) };
  const tally: Tally = { lines: [], problems: [...unsettled] };
  for (const each of compiled.inOrder) countRule(each, round, tally);
  for (const each of compiled.circular) leaveUncounted(each, round, tally, circleOf(compiled));
  const scope = () => scopeOf(compiled, { ...round, names: namesOf(assembly), words: layout.words });
  return { ...tally, scope };
}

const circleOf = ({ problems }: CompiledAssembly): string =>
  problems.find((found) => found.code === "cycle")?.message ?? "It goes round in a circle.";

/** What formulas can name: choices of the part, parameters, measured values. */
function valuesOf({ assembly, layout, quantities }: Applied, settled: ReadonlyMap<string, ParameterValue>) {
  const values = new Map<string, Value>(layout.choices);
  for (const parameter of assembly.parameters) {
    const value = settled.get(parameter.name)?.value;
    if (value !== undefined) values.set(parameter.name, formulaValue(parameter.kind, value));
  }
  for (const [name, value] of Object.entries(quantities)) values.set(name, value);
  return values;
}

/** Of what a parameter names: a person's choice goes before the assembly's own word for it. */
function propertyOf(
  { assembly, library }: Applied,
  values: ReadonlyMap<string, Value>,
  name: string,
  property: string,
): number | undefined {
  const parameter = assembly.parameters.find((each) => each.name === name);
  const chosen = values.get(name);
  return parameter && chosen !== undefined ? propertyValue(parameter, chosen, property, library) : undefined;
}

/** A figure on the way to others: nothing is bought or done by it. */
const isStep = (rule: AssemblyRule): boolean =>
  rule.item === "" && rule.unit !== "hour" && (rule.task === undefined || rule.task === "");

function leaveUncounted(compiled: CompiledRule, round: Round, tally: Tally, why: string): void {
  const { rule } = compiled;
  tally.lines.push(makeLine(compiled, round, { quantity: 0, sectionId: "", pieces: [], missing: why }));
  tally.problems.push(problem("rule-not-counted", `rules.${rule.name}`, `${rule.label}: ${why}`));
}

/** What a rule comes to, nothing where its condition does not hold; or why it cannot be said. */
function workOut(compiled: CompiledRule, { ground }: Round): Came | { readonly why: string } {
  const { formula, when, problems } = compiled;
  const [own] = problems;
  if (own || !formula) return { why: own?.message ?? "Its formula cannot be read." };
  const holds = when?.run(ground);
  if (holds && !holds.ok) return { why: holds.problem.message };
  if (holds && holds.value !== true) return { quantity: 0, supply: undefined };
  const worked = formula.run(ground);
  if (!worked.ok) return { why: worked.problem.message };
  const quantity = Number(worked.value);
  if (quantity < 0) return { why: `It comes to less than nothing: ${quantity}.` };
  const supplied = compiled.suppliedWhen?.run(ground);
  if (supplied && !supplied.ok) return { why: `Who supplies it cannot be said. ${supplied.problem.message}` };
  const bySomebodyElse = supplied === undefined || supplied.value === true;
  return { quantity, supply: bySomebodyElse ? supplyOf(compiled.rule) : undefined };
}

function supplyOf({ supply }: AssemblyRule): LineSupply | undefined {
  if (!supply) return undefined;
  return supply.by === "customer" ? { by: "customer" } : { by: "allowance", rate: supply.rate ?? "0" };
}

function countRule(compiled: CompiledRule, round: Round, tally: Tally): void {
  const { rule } = compiled;
  const came = workOut(compiled, round);
  if ("why" in came) {
    leaveUncounted(compiled, round, tally, came.why);
    return;
  }
  const { quantity, supply } = came;
  round.ground.values.set(rule.name, quantity);
  if (quantity === 0 || isStep(rule)) return;
  if (compiled.item.names.includes("section")) tally.lines.push(...linesBySection(compiled, round, came));
  else if (compiled.item.names.includes("piece")) tally.lines.push(...linesByItem(compiled, round, came));
  else
    tally.lines.push(makeLine(compiled, round, { quantity, supply, sectionId: "", pieces: piecesOf(compiled, round) }));
}

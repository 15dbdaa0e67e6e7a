import {
  type Assembly,
  type AssemblyRule,
  bracedNames,
  type CompiledRule,
  compileAssembly,
  formulaValue,
  type Ground,
  type HouseStandard,
  type KnownName,
  knownNames,
  type LaidOut,
  type ReadyFormula,
  type Settled,
  settleParameters,
  standardValue,
  standardWaste,
  type Value,
} from "../assemblies";
import { type FramingPiece, isFraming, type Piece } from "../layouts";
import { type Part, type PartContext, type QuantityValues, type Scalar, sectionOf } from "../parts";
import { type Problem, problem } from "../problems/problem";
import { CountedLine } from "./countedLine";
import type { Basis, Working } from "./countLine";
import { explainFormula } from "./explain";
import type { LaidPart } from "./laidPart";
import { quantityText } from "./quantityText";
import { scopeOf } from "./scope";

/** An assembly as it applies to one part. */
export type Applied = {
  readonly part: Part;
  readonly assembly: Assembly;
  /** Empty for what the part itself is framed by; else the id of the use. */
  readonly useId: string;
  readonly choices: Readonly<Record<string, Scalar>>;
  readonly laidPart: LaidPart;
  readonly quantities: QuantityValues;
  readonly standard: HouseStandard | undefined;
  readonly context: PartContext;
};

export type CountedAssembly = {
  readonly lines: readonly CountedLine[];
  /** The sentences of the scope, with the values in them. */
  readonly scope: readonly string[];
  readonly problems: readonly Problem[];
};

/** What all the lines of one applied assembly share. */
type Round = Applied & {
  readonly ground: { readonly values: Map<string, Value>; readonly laid: LaidOut };
  readonly settled: ReadonlyMap<string, Settled>;
  readonly pieces: PiecesByRole;
};

type PiecesByRole = ReadonlyMap<string, readonly Piece[]>;

const piecesCache = new WeakMap<LaidPart, PiecesByRole>();

function piecesByRole(laidPart: LaidPart): PiecesByRole {
  const known = piecesCache.get(laidPart);
  if (known) return known;
  const byRole = new Map<string, Piece[]>();
  for (const piece of laidPart.pieces) {
    const group = byRole.get(piece.role);
    if (group) group.push(piece);
    else byRole.set(piece.role, [piece]);
  }
  piecesCache.set(laidPart, byRole);
  return byRole;
}

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
  const round: Round = { ...applied, settled, ground: { values, laid: laidPart.laid }, pieces: piecesByRole(laidPart) };
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

/** The placed pieces that a rule counts. Most rules count one role: its list is taken as it is. */
function piecesOf({ roles }: CompiledRule, { pieces }: Round): readonly Piece[] {
  const [only, ...others] = roles;
  if (only !== undefined && others.length === 0) return pieces.get(only) ?? [];
  return roles.flatMap((role) => pieces.get(role) ?? []);
}

/** One line for each timber section among the pieces counted. Reckoned pieces are all of the wall's own section. */
function linesBySection(compiled: CompiledRule, round: Round, quantity: number): CountedLine[] {
  const pieces = piecesOf(compiled, round).filter(isFraming);
  if (pieces.length === 0) {
    const sectionId = String(round.ground.values.get("studSize") ?? "");
    return [makeLine(compiled, round, { quantity, sectionId, pieces })];
  }
  const [first] = pieces;
  if (pieces.every((piece) => piece.sectionId === first?.sectionId)) {
    return [makeLine(compiled, round, { quantity, sectionId: first?.sectionId ?? "", pieces })];
  }
  return [...bySection(pieces)].map(([sectionId, group]) =>
    makeLine(compiled, round, { quantity: (quantity * group.length) / pieces.length, sectionId, pieces: group }),
  );
}

function bySection(pieces: readonly FramingPiece[]): Map<string, FramingPiece[]> {
  const groups = new Map<string, FramingPiece[]>();
  for (const piece of pieces) {
    const group = groups.get(piece.sectionId);
    if (group) group.push(piece);
    else groups.set(piece.sectionId, [piece]);
  }
  return groups;
}

type Counted = {
  readonly quantity: number;
  readonly sectionId: string;
  readonly pieces: readonly Piece[];
  readonly missing?: string;
};

function makeLine(compiled: CompiledRule, round: Round, counted: Counted): CountedLine {
  const { rule } = compiled;
  const { part, assembly, useId, laidPart, standard, context } = round;
  const { sectionId, pieces } = counted;
  const section = sectionId ? sectionOf(context.sections, sectionId) : undefined;
  const key = [useId, rule.name, sectionId].filter(Boolean).join("/");
  const quantity = counted.quantity * laidPart.repeats;
  const itemCode = itemOf(rule.item, sectionId, round.ground.values);
  const cutLengthsNm = rule.buying === "cut" ? cutLengths(compiled, round, pieces) : [];
  const line = {
    id: `${part.id}/${key}`,
    key,
    partId: part.id,
    partName: part.name,
    storey: part.storey,
    location: part.location,
    assembly: { id: assembly.id, version: assembly.version, name: assembly.name },
    rule: rule.name,
    trade: rule.trade,
    phase: rule.phase,
    description: section && rule.buying === "cut" ? `${rule.label}, ${section.name}` : rule.label,
    itemCode,
    quantity,
    computed: quantity,
    note: compiled.roles.includes("stud") && sectionId ? unusualStuds(round) : undefined,
    missing: counted.missing,
    unit: rule.unit,
    basis: basisOf(laidPart, pieces),
    buying: rule.buying,
    wastePercent: rule.wastePercent ?? standardWaste(standard, itemCode),
    cutLengthsNm,
    pieceIds: pieces.map((piece) => piece.id),
    labourTask: rule.task,
    byHand: undefined,
  };
  return new CountedLine(line, () => workingOf(compiled, round, counted, quantity));
}

/** A wall that somebody made deeper or thinner than the house builds them: for pipes, as a rule. It is easily overlooked. */
function unusualStuds({ part, assembly, standard, context }: Round): string | undefined {
  if (part.kind !== "stud-wall" || part.parameters.studSize.assumed) return undefined;
  const parameter = assembly.parameters.find((each) => each.name === "studSize");
  const usual = standardValue(standard, assembly.id, "studSize") ?? parameter?.default;
  const own = part.parameters.studSize.value;
  if (typeof usual !== "string" || usual === own) return undefined;
  const name = (id: string) => context.sections[id]?.name ?? id;
  return `This wall has ${name(own)} studs; the usual ones are ${name(usual)}`;
}

function basisOf({ reckoned }: LaidPart, pieces: readonly Piece[]): Basis {
  if (reckoned) return "reckoned";
  return pieces.length > 0 ? "laid-out" : "formula";
}

function cutLengths({ roles }: CompiledRule, { laidPart }: Round, pieces: readonly Piece[]): number[] {
  const once =
    pieces.length > 0
      ? pieces.filter(isFraming).map((piece) => piece.cutLengthNm)
      : roles.flatMap((role) => [...laidPart.laid.lengthsNm(role)]);
  return laidPart.repeats === 1 ? once : Array.from({ length: laidPart.repeats }, () => once).flat();
}

function itemOf(item: string, sectionId: string, values: ReadonlyMap<string, Value>): string {
  if (!item.includes("{")) return item;
  return item.replace(/\{(\w+)\}/g, (_, name: string) =>
    name === "section" ? sectionId : String(values.get(name) ?? name),
  );
}

const namesCache = new WeakMap<Assembly, ReadonlyMap<string, KnownName>>();

function namesOf(assembly: Assembly): ReadonlyMap<string, KnownName> {
  const known = namesCache.get(assembly);
  if (known) return known;
  const names = new Map(knownNames(assembly).map((each) => [each.name, each]));
  namesCache.set(assembly, names);
  return names;
}

function workingOf(compiled: CompiledRule, round: Round, counted: Counted, quantity: number): Working {
  const { rule, formula, roles } = compiled;
  const { laidPart, context } = round;
  const shared = { sentence: rule.sentence, source: rule.source };
  if (counted.missing !== undefined || !formula) {
    const said = counted.missing ?? "Its formula cannot be read.";
    return { ...shared, formula: rule.formula, withNumbers: said, steps: [], from: fromOf(compiled, round) };
  }
  const [role] = roles;
  const onlyPieces = role !== undefined && formula.expression.is === "call" && formula.expression.name === "pieces";
  const ofLayout = onlyPieces ? laidPart.workingOf(role, counted.sectionId) : undefined;
  const text = quantityText(quantity, rule.unit, context.system);
  if (ofLayout) return { ...shared, ...repeated(ofLayout, laidPart.repeats, text) };
  const explained = explainRule(formula, round);
  const times = laidPart.repeats === 1 ? "" : ` × ${laidPart.repeats} walls`;
  return {
    ...shared,
    formula: explained.formula,
    withNumbers: `${explained.withNumbers}${times} = ${text}`,
    steps: explained.steps,
    from: fromOf(compiled, round),
  };
}

function repeated<T extends { readonly withNumbers: string }>(working: T, repeats: number, text: string): T {
  if (repeats === 1) return working;
  return { ...working, withNumbers: `(${working.withNumbers}) × ${repeats} walls = ${text}` };
}

function explainRule(formula: ReadyFormula, { ground, assembly, context }: Round) {
  const shown: Ground = { values: ground.values, laid: ground.laid };
  return explainFormula(formula, { ground: shown, names: namesOf(assembly), system: context.system });
}

/** The figures and choices of the part that a rule's formulas name. */
function fromOf({ uses, rule }: CompiledRule, { part, assembly, useId }: Round): Working["from"] {
  const names = namesOf(assembly);
  const wanted = [...new Set([...uses, ...bracedNames(rule.item)])];
  return wanted.flatMap((name) => {
    const known = names.get(name);
    if (!known || known.from === "rule") return [];
    if (known.from === "measured") return [{ path: name, label: known.label }];
    const path = useId === "" && part.kind === "stud-wall" ? `parameters.${name}` : `choices.${name}`;
    return [{ path, label: known.label }];
  });
}

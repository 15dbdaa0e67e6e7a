import { assembledFrom } from "./basedOn";
import {
  type CompiledFormula,
  checkFormula,
  childrenOf,
  compileFormula,
  type Expression,
  type FormulaProblem,
  type FormulaType,
  isMeasuredUnit,
  type Language,
  languageOf,
  type NameTypes,
  namesIn,
  parseFormula,
  rowsIn,
  type Span,
  sameDims,
  typeOfUnit,
  typeWords,
  unitOf,
} from "./formula";
import { tableProblems } from "./lookUp";
import { knownNames, parameterProblem, slotParametersOf } from "./parameters";
import type { Assembly, AssemblyParameter, AssemblyRule } from "./schema";
import { type AssemblyTable, withTables } from "./table";
import { readTemplate, type Template } from "./template";

/** Something wrong in an assembly: where in its record, and where in the formula there. */
export type AssemblyProblem = {
  readonly code: string;
  readonly path: string;
  readonly message: string;
  readonly span?: Span;
};

/** A formula ready for use, or undefined with its problem noted. */
export type ReadyFormula = { readonly text: string; readonly expression: Expression; readonly run: CompiledFormula };

export type CompiledRule = {
  readonly rule: AssemblyRule;
  readonly index: number;
  readonly formula: ReadyFormula | undefined;
  readonly when: ReadyFormula | undefined;
  /** When somebody else supplies it; always, where there is none. */
  readonly suppliedWhen: ReadyFormula | undefined;
  /** What the quote says of it. */
  readonly words: Template | undefined;
  /** Its item's code, with names of choices in it. */
  readonly item: Template;
  /** Whether its formula is nothing but whole sheets, so that they can be nested with those of other parts. */
  readonly countsSheets: boolean;
  /** Roles its formula counts: the pieces that a line lights. */
  readonly roles: readonly string[];
  /** Names its formulas use. */
  readonly uses: readonly string[];
  readonly problems: readonly AssemblyProblem[];
};

export type CompiledAssembly = {
  readonly assembly: Assembly;
  /** In the order to work them out: a rule after those whose results it uses. Rules in a circle are left out. */
  readonly inOrder: readonly CompiledRule[];
  /** Those that need each other in a circle, and cannot be worked out. */
  readonly circular: readonly CompiledRule[];
  readonly wording: readonly { readonly when: ReadyFormula | undefined; readonly text: Template }[];
  readonly problems: readonly AssemblyProblem[];
};

type Field = { readonly path: string; readonly text: string };
type Read = { readonly ready?: ReadyFormula; readonly type?: FormulaType; readonly problem?: AssemblyProblem };

/** What the formulas of an assembly can be written in. */
type Speech = { readonly names: NameTypes; readonly language: Language };

function read({ path, text }: Field, { names, language }: Speech): Read {
  const noted = (each: FormulaProblem): Read => ({ problem: { ...each, path } });
  const parsed = parseFormula(text);
  if (!parsed.ok) return noted(parsed.problem);
  const { expression } = parsed;
  const checked = checkFormula(text, expression, names, language);
  if (!checked.ok) return noted(checked.problem);
  return { ready: { text, expression, run: compileFormula(expression) }, type: checked.type };
}

function rolesIn(expression: Expression, language: Language): string[] {
  const isRole = (text: string) => language.roles.some((role) => role.id === text);
  const texts =
    expression.is === "call" ? expression.args.flatMap((arg) => (arg.is === "text" ? [arg.value] : [])) : [];
  const lights = expression.is === "call" ? language.functions.get(expression.name)?.lights : undefined;
  const own = lights?.(texts) ?? texts.filter(isRole);
  return [...new Set([...own, ...childrenOf(expression).flatMap((child) => rolesIn(child, language))])];
}

/** Whether a formula is nothing but a count of pieces, so that their lengths can be cut. */
const countsPieces = (expression: Expression): boolean => expression.is === "call" && expression.name === "pieces";

/** Whole sheets of a role, or of several added up. */
function countsSheets(expression: Expression): boolean {
  if (expression.is === "binary" && expression.operator === "+") {
    return countsSheets(expression.left) && countsSheets(expression.right);
  }
  return expression.is === "call" && expression.name === "sheets";
}

const problemAt = (code: string, path: string, message: string): AssemblyProblem => ({ code, path, message });

function typeProblems(rule: AssemblyRule, path: string, type: FormulaType): AssemblyProblem[] {
  const wanted = typeOfUnit(rule.unit);
  const fits = type.is === "number" && wanted.is === "number" && sameDims(type.dims, wanted.dims);
  if (fits) return [];
  const unit = isMeasuredUnit(rule.unit) ? typeWords(wanted) : `a count of “${rule.unit}”`;
  const message = `${rule.label} is ${unit}, and the formula gives ${typeWords(type)}.`;
  return [problemAt("wrong-unit", `${path}.formula`, message)];
}

function itemProblems(rule: AssemblyRule, item: Template, path: string, names: NameTypes): AssemblyProblem[] {
  const unknown = item.names.filter((name) => name !== "section" && name !== "piece" && !names.has(name));
  return unknown.map((name) =>
    problemAt("unknown-name", `${path}.item`, `${rule.label}: the item names “${name}”, which there is not.`),
  );
}

function supplyProblems({ label, supply, unit, item }: AssemblyRule, path: string): AssemblyProblem[] {
  if (!supply || (unit !== "hour" && item !== "")) return [];
  const what = unit === "hour" ? "hours" : "a step for other rules";
  return [problemAt("nothing-to-supply", `${path}.supply`, `${label} is ${what}: nobody supplies that.`)];
}

function optionProblems({ label, option, unit, item, task }: AssemblyRule, path: string): AssemblyProblem[] {
  if (option === undefined || item !== "" || unit === "hour" || task) return [];
  return [
    problemAt("nothing-in-option", `${path}.option`, `${label} is a step for other rules: it is part of no option.`),
  ];
}

function wordsProblems({ label }: AssemblyRule, words: Template | undefined, path: string, names: NameTypes) {
  const unknown = (words?.names ?? []).filter((name) => !names.has(name));
  return unknown.map((name) =>
    problemAt("unknown-name", `${path}.words`, `${label}: its words name “${name}”, which there is not.`),
  );
}

/** A condition gives a yes or no. */
function yesNoProblem({ label }: AssemblyRule, path: string, type: FormulaType | undefined): AssemblyProblem[] {
  if (!type || type.is === "yes-no") return [];
  const message = `${label}: the condition gives ${typeWords(type)}; it has to be a yes or no.`;
  return [problemAt("not-yes-no", path, message)];
}

function compileRule(rule: AssemblyRule, index: number, speech: Speech): CompiledRule {
  const path = `rules.${index}`;
  const formula = read({ path: `${path}.formula`, text: rule.formula }, speech);
  const when = rule.when === undefined ? {} : read({ path: `${path}.when`, text: rule.when }, speech);
  const supplied = rule.supply?.when;
  const suppliedWhen = supplied === undefined ? {} : read({ path: `${path}.supply.when`, text: supplied }, speech);
  const words = rule.words === undefined ? undefined : readTemplate(rule.words);
  const problems = [formula.problem, when.problem, suppliedWhen.problem].filter((each) => each !== undefined);
  if (formula.type) problems.push(...typeProblems(rule, path, formula.type));
  problems.push(
    ...yesNoProblem(rule, `${path}.when`, when.type),
    ...yesNoProblem(rule, `${path}.supply.when`, suppliedWhen.type),
    ...supplyProblems(rule, path),
    ...optionProblems(rule, path),
    ...wordsProblems(rule, words, path, speech.names),
  );
  if (rule.buying === "cut" && formula.ready && !countsPieces(formula.ready.expression)) {
    const message = `${rule.label} is cut from stock lengths, so its formula counts pieces: pieces("stud").`;
    problems.push(problemAt("cut-counts-pieces", `${path}.formula`, message));
  }
  const item = readTemplate(rule.item);
  problems.push(...itemProblems(rule, item, path, speech.names));
  const ready = [formula.ready, when.ready, suppliedWhen.ready];
  const expressions = ready.flatMap((each) => each?.expression ?? []);
  return {
    rule,
    index,
    formula: problems.some((each) => each.path === `${path}.formula`) ? undefined : formula.ready,
    when: when.ready,
    suppliedWhen: suppliedWhen.ready,
    words,
    item,
    countsSheets: formula.ready !== undefined && countsSheets(formula.ready.expression),
    roles: formula.ready ? rolesIn(formula.ready.expression, speech.language) : [],
    uses: expressions.flatMap((each) => namesIn(each, rowsIn(speech.language))),
    problems,
  };
}

/** Rules after those they use; those in a circle are named and left out. */
function putInOrder(rules: readonly CompiledRule[]): { inOrder: CompiledRule[]; problems: AssemblyProblem[] } {
  const byName = new Map(rules.map((each) => [each.rule.name, each]));
  const state = new Map<CompiledRule, "open" | "done" | "circle">();
  const inOrder: CompiledRule[] = [];
  const problems: AssemblyProblem[] = [];
  const visit = (each: CompiledRule, path: readonly CompiledRule[]): boolean => {
    const seen = state.get(each);
    if (seen === "done") return true;
    if (seen === "circle") return false;
    if (seen === "open") {
      const circle = [...path.slice(path.indexOf(each)), each].map(({ rule }) => `“${rule.label}”`);
      const message = `${circle.join(" needs ")}: they go round in a circle, and none can be worked out.`;
      problems.push(problemAt("cycle", `rules.${each.index}.formula`, message));
      return false;
    }
    state.set(each, "open");
    const needs = each.uses.flatMap((name) => byName.get(name) ?? []);
    const all = needs.map((need) => visit(need, [...path, each]));
    const sound = all.every(Boolean);
    state.set(each, sound ? "done" : "circle");
    if (sound) inOrder.push(each);
    return sound;
  };
  for (const each of rules) visit(each, []);
  return { inOrder, problems };
}

/** Words of the formulas' own language. */
const LANGUAGE: ReadonlySet<string> = new Set("if and or not true false null undefined pi".split(" "));

/** Why a name cannot be a parameter's or a rule's; undefined for one that can. */
function reservedName(name: string): string | undefined {
  if (unitOf(name)) return `“${name}” is a unit in formulas; choose another name.`;
  if (LANGUAGE.has(name)) return `“${name}” is a word of the formulas' language; choose another name.`;
  if (name in {}) return `“${name}” means something else to every program; choose another name.`;
  if (name === "piece") return "“piece” stands for what each piece is; choose another name.";
  return name === "section" ? "“section” stands for the timber of each piece; choose another name." : undefined;
}

function reservedNames({ parameters, rules }: Assembly): AssemblyProblem[] {
  const check = (name: string, path: string): AssemblyProblem[] => {
    const why = reservedName(name);
    return why === undefined ? [] : [problemAt("reserved-name", path, why)];
  };
  return [
    ...parameters.flatMap(({ name }, index) => check(name, `parameters.${index}.name`)),
    ...rules.flatMap(({ name }, index) => check(name, `rules.${index}.name`)),
  ];
}

function duplicateNames(assembly: Assembly): AssemblyProblem[] {
  const measured = new Set(
    knownNames(assembly)
      .filter((each) => each.from === "measured")
      .map((each) => each.name),
  );
  const seen = new Set<string>(measured);
  const check = (name: string, path: string): AssemblyProblem[] => {
    const taken = seen.has(name);
    seen.add(name);
    const message = measured.has(name)
      ? `“${name}” is a measured value already; choose another name.`
      : `“${name}” is used twice; each name stands for one thing.`;
    return taken ? [problemAt("name-taken", path, message)] : [];
  };
  return [
    ...assembly.parameters.flatMap(({ name }, index) => check(name, `parameters.${index}.name`)),
    ...assembly.rules.flatMap(({ name }, index) => check(name, `rules.${index}.name`)),
  ];
}

function slotProblem({ appliesTo, slot }: Assembly, { name, label, default: value }: AssemblyParameter) {
  const own = slot ? slotParametersOf(appliesTo).find((each) => each.name === name) : undefined;
  return own && !own.stands(value) ? `${label}: ${String(value)} is nothing that a wall is built by.` : undefined;
}

function tablesProblems({ tables }: Assembly): AssemblyProblem[] {
  const names = tables.map((table) => table.name);
  return tables.flatMap((table, index) => [
    ...(names.indexOf(table.name) < index
      ? [problemAt("name-taken", `tables.${index}.name`, `There are two tables “${table.name}”.`)]
      : []),
    ...tableProblems(table).map(({ at, message }) => problemAt("bad-table", `tables.${index}.${at}`, message)),
  ]);
}

const parameterProblems = (assembly: Assembly): AssemblyProblem[] =>
  assembly.parameters.flatMap((parameter, index) => {
    const wrong = parameterProblem(parameter, parameter.default, assembly.system) ?? slotProblem(assembly, parameter);
    return wrong === undefined ? [] : [problemAt("bad-default", `parameters.${index}.default`, wrong)];
  });

function compile(assembly: Assembly): CompiledAssembly {
  const names: NameTypes = new Map(knownNames(assembly).map(({ name, type }) => [name, type]));
  const speech: Speech = { names, language: languageOf(assembly) };
  const rules = assembly.rules.map((rule, index) => compileRule(rule, index, speech));
  const { inOrder, problems: circles } = putInOrder(rules);
  const wording = assembly.wording.map(({ when, text }, index) => ({
    text: readTemplate(text),
    ...(when === undefined ? { ready: undefined } : read({ path: `wording.${index}.when`, text: when }, speech)),
  }));
  return {
    assembly,
    inOrder,
    circular: rules.filter((each) => !inOrder.includes(each)),
    // A sentence whose condition cannot be read is not said.
    wording: wording
      .filter((each) => !("problem" in each && each.problem))
      .map(({ text, ready }) => ({ text, when: ready })),
    problems: [
      ...tablesProblems(assembly),
      ...reservedNames(assembly),
      ...duplicateNames(assembly),
      ...parameterProblems(assembly),
      ...rules.flatMap((each) => each.problems),
      ...circles,
      ...wording.flatMap((each) => ("problem" in each && each.problem ? [each.problem] : [])),
    ],
  };
}

const compiled = new WeakMap<Assembly, CompiledAssembly>();

/** Compiles an assembly once; what is wrong in it is told beside what can still be worked out. */
export function compileAssembly(assembly: Assembly): CompiledAssembly {
  const known = compiled.get(assembly);
  if (known) return known;
  const fresh = compile(assembly);
  compiled.set(assembly, fresh);
  return fresh;
}

/** What is wrong in an assembly with all it builds on, by where it is among its own rules and parameters; a base's by its name. */
export function problemsOf(
  assembly: Assembly,
  all: readonly Assembly[],
  tables: readonly AssemblyTable[] = [],
): readonly AssemblyProblem[] {
  const { assembly: whole, problems } = assembledFrom(assembly, all);
  const own = compileAssembly(withTables(whole, tables)).problems.map((each): AssemblyProblem => {
    const [list, index = "", ...rest] = each.path.split(".");
    if (list !== "rules" && list !== "parameters") return each;
    const name = whole[list][Number(index)]?.name;
    const place = assembly[list].findIndex((one) => one.name === name);
    return { ...each, path: place < 0 ? `base.${each.path}` : [list, place, ...rest].join(".") };
  });
  return [...own, ...problems];
}

import { distance } from "fastest-levenshtein";
import type { FunctionSignature, Takes } from "../../kinds";
import type { Expression, FormulaProblem, Span } from "./expression";
import type { Language } from "./language";
import {
  COUNT,
  type Dims,
  type FormulaType,
  LENGTH,
  plusDims,
  sameDims,
  TEXT,
  timesDims,
  typeWords,
  YES_NO,
} from "./types";
import { UNITS, unitOf } from "./words";

/** The names a formula may use, and what each is. */
export type NameTypes = ReadonlyMap<string, FormulaType>;

export type CheckedFormula =
  | { readonly ok: true; readonly type: FormulaType }
  | { readonly ok: false; readonly problem: FormulaProblem };

class Mistake extends Error {
  constructor(readonly problem: FormulaProblem) {
    super(problem.message);
  }
}

const mistake = (code: string, message: string, span: Span): never => {
  throw new Mistake({ code, message, span });
};

/** The nearest of the names, where it is near enough to be a slip of the fingers. */
export function nearest(name: string, names: Iterable<string>): string | undefined {
  const limit = name.length > 3 ? Math.max(2, Math.floor(name.length / 3)) : 1;
  return [...names]
    .map((each) => ({ each, away: distance(name.toLowerCase(), each.toLowerCase()) }))
    .filter(({ away }) => away <= limit)
    .toSorted((a, b) => a.away - b.away || Number(b.each[0] === name[0]) - Number(a.each[0] === name[0]))[0]?.each;
}

const orNearest = (name: string, names: Iterable<string>): string => {
  const found = nearest(name, names);
  return found ? ` Did you mean “${found}”?` : "";
};

/** Checks one formula's names and units: a walk over its tree that carries the text along to quote from it. */
class Checker {
  constructor(
    private readonly text: string,
    private readonly names: NameTypes,
    private readonly language: Language,
  ) {}

  private quote({ span }: Expression): string {
    return `“${this.text.slice(span.from, span.to)}”`;
  }

  typeOf(expression: Expression): FormulaType {
    switch (expression.is) {
      case "number":
        return COUNT;
      case "text":
        return TEXT;
      case "yes-no":
        return YES_NO;
      case "name":
        return this.name(expression.name, expression.span);
      case "unary":
        return this.unary(expression);
      case "binary":
        return this.binary(expression);
      case "if":
        return this.choice(expression);
      case "call":
        return this.call(expression);
      case "property":
        return this.property(expression);
    }
  }

  private property({ of, ofSpan, property, span }: Expression & { is: "property" }): FormulaType {
    const properties = this.language.properties.get(of);
    const type = properties?.get(property);
    if (type) return type;
    if (!this.names.has(of)) return this.name(of, ofSpan);
    if (!properties || properties.size === 0) {
      return mistake("no-properties", `“${of}” names no thing that has properties.`, span);
    }
    return mistake("no-property", `“${of}” has no “${property}”.${orNearest(property, properties.keys())}`, span);
  }

  /** A call that goes through rows: its second thing is worked out for each of them, by their own names. */
  private overRows(
    { gives, name }: FunctionSignature,
    { args, nameSpan, span }: Expression & { is: "call" },
  ): FormulaType {
    const [rowsName, each] = args;
    const rows = rowsName?.is === "name" ? this.language.rows.get(rowsName.name) : undefined;
    if (!rows) {
      const known = [...this.language.rows.keys()].map((row) => `“${row}”`).join(", ");
      const message = known
        ? `${name}(…) goes through ${known}.`
        : `There is nothing here that ${name}(…) could go through.`;
      return mistake("not-rows", message, rowsName?.span ?? nameSpan);
    }
    if (args.length > 2) mistake("arguments", `${name}(…) takes rows and one thing of each in its brackets.`, nameSpan);
    if (!each) {
      if (name === "count") return COUNT;
      return mistake("arguments", `${name}(…) takes rows and one thing of each in its brackets.`, span);
    }
    const inner = new Checker(this.text, new Map([...this.names, ...rows.columns]), this.language);
    if (name !== "count") return { is: "number", dims: inner.number(each, `${name}(…) takes a quantity of each`) };
    inner.yesNo(each);
    return typeof gives === "object" ? gives : COUNT;
  }

  private lookup({ args, nameSpan }: Expression & { is: "call" }): FormulaType {
    const [named, by, column] = args;
    if (named?.is !== "text" || !by || args.length > 3) {
      return mistake(
        "arguments",
        "lookup(…) takes a table in quotes, what to look up, and a column in quotes.",
        nameSpan,
      );
    }
    const table = this.language.tables.get(named.value);
    if (!table) {
      return mistake(
        "unknown-table",
        `There is no table “${named.value}”.${orNearest(named.value, this.language.tables.keys())}`,
        named.span,
      );
    }
    const dims = this.number(by, "a table is looked up by a quantity");
    const wanted = table.by === "length" ? LENGTH : COUNT;
    if (wanted.is === "number" && !sameDims(dims, wanted.dims)) {
      const message = `“${table.label}” is looked up by ${typeWords(wanted)}, and ${this.quote(by)} is ${typeWords({ is: "number", dims })}.`;
      mistake("units-differ", message, by.span);
    }
    const names = table.columns.map((each) => each.name);
    if (!column && names.length > 1)
      mistake("arguments", `Say which column: ${names.map((each) => `"${each}"`).join(", ")}.`, nameSpan);
    const wantedColumn = column?.is === "text" ? column.value : names[0];
    const found = table.columns.find((each) => each.name === wantedColumn);
    if (!found || (column && column.is !== "text")) {
      const span = column?.span ?? nameSpan;
      return mistake(
        "unknown-column",
        `“${table.label}” has no such column.${orNearest(String(wantedColumn), names)}`,
        span,
      );
    }
    return found.kind === "length" ? LENGTH : found.kind === "number" ? COUNT : TEXT;
  }

  private name(name: string, span: Span): FormulaType {
    const type = this.names.get(name) ?? unitOf(name)?.type ?? (name === "pi" ? COUNT : undefined);
    if (type) return type;
    if (this.language.functions.get(name))
      return mistake("function-alone", `“${name}” needs brackets: ${name}(…).`, span);
    const all = [...this.names.keys(), ...Object.keys(UNITS)];
    return mistake("unknown-name", `There is no “${name}” here.${orNearest(name, all)}`, span);
  }

  private number(expression: Expression, what: string): Dims {
    const type = this.typeOf(expression);
    if (type.is === "number") return type.dims;
    return mistake("not-a-number", `${this.quote(expression)} is ${typeWords(type)}; ${what}.`, expression.span);
  }

  private yesNo(expression: Expression): void {
    const type = this.typeOf(expression);
    if (type.is === "yes-no") return;
    const message = `${this.quote(expression)} is ${typeWords(type)}; here a yes or no is needed, such as ${this.quote(expression).slice(1, -1)} > 0.`;
    mistake("not-yes-no", message, expression.span);
  }

  private unary({ operator, of }: Expression & { is: "unary" }): FormulaType {
    if (operator === "-") return { is: "number", dims: this.number(of, "only a quantity has a sign") };
    this.yesNo(of);
    return YES_NO;
  }

  private binary(expression: Expression & { is: "binary" }): FormulaType {
    const { operator, left, right } = expression;
    switch (operator) {
      case "and":
      case "or":
        this.yesNo(left);
        this.yesNo(right);
        return YES_NO;
      case "*":
      case "/": {
        const what = operator === "*" ? "only quantities are multiplied" : "only quantities are divided";
        return {
          is: "number",
          dims: plusDims(this.number(left, what), this.number(right, what), operator === "*" ? 1 : -1),
        };
      }
      case "^":
        return this.power(left, right);
      case "+":
      case "-": {
        const what = operator === "+" ? "only quantities are added" : "only quantities are taken off";
        const [a, b] = [this.number(left, what), this.number(right, what)];
        if (isZero(left)) return { is: "number", dims: b };
        if (isZero(right) || sameDims(a, b)) return { is: "number", dims: a };
        const [from, to] = [typeWords({ is: "number", dims: a }), typeWords({ is: "number", dims: b })];
        const done = operator === "+" ? "cannot be added" : "cannot be taken from each other";
        const message = `${this.quote(left)} is ${from} and ${this.quote(right)} is ${to}: they ${done}.`;
        return mistake("units-differ", message, expression.span);
      }
      default:
        return this.comparison(expression);
    }
  }

  private power(left: Expression, right: Expression): FormulaType {
    const dims = this.number(left, "only a quantity has a power");
    const power = this.number(right, "a power is a number");
    if (!sameDims(power, [0, 0, 0])) {
      const message = `${this.quote(right)} is ${typeWords({ is: "number", dims: power })}; a power is a plain number, such as 2.`;
      return mistake("power", message, right.span);
    }
    if (right.is === "number" && Number.isInteger(right.value)) {
      return { is: "number", dims: timesDims(dims, right.value) };
    }
    if (sameDims(dims, [0, 0, 0])) return COUNT;
    return mistake(
      "power",
      `A power of ${typeWords({ is: "number", dims })} is a whole number, such as 2.`,
      right.span,
    );
  }

  private comparison(expression: Expression & { is: "binary" }): FormulaType {
    const { left, right, operator } = expression;
    const [a, b] = [this.typeOf(left), this.typeOf(right)];
    const ordered = operator !== "==" && operator !== "!=";
    const comparable =
      a.is === b.is &&
      (a.is !== "number" || b.is !== "number" || sameDims(a.dims, b.dims)) &&
      !(ordered && a.is !== "number");
    const withZero = a.is === "number" && b.is === "number" && (isZero(left) || isZero(right));
    this.oneOfItsChoices(left, a, right);
    this.oneOfItsChoices(right, b, left);
    if (comparable || withZero) return YES_NO;
    const message = `${this.quote(left)} is ${typeWords(a)} and ${this.quote(right)} is ${typeWords(b)}: they cannot be compared.`;
    return mistake("units-differ", message, expression.span);
  }

  /** A choice compared with a word that it never is: nothing would ever come of it. */
  private oneOfItsChoices(of: Expression, type: FormulaType, word: Expression): void {
    if (type.is !== "text" || !type.among || word.is !== "text" || type.among.includes(word.value)) return;
    const choices = type.among.map((each) => `“${each}”`).join(", ");
    const message = `${this.quote(of)} is never “${word.value}”: it is one of ${choices}.${orNearest(word.value, type.among)}`;
    mistake("no-such-choice", message, word.span);
  }

  private choice({ when, then, otherwise, span }: Expression & { is: "if" }): FormulaType {
    this.yesNo(when);
    const [a, b] = [this.typeOf(then), this.typeOf(otherwise)];
    if (a.is === b.is && (a.is !== "number" || b.is !== "number" || sameDims(a.dims, b.dims))) return a;
    if (a.is === "number" && b.is === "number" && isZero(then)) return b;
    if (a.is === "number" && b.is === "number" && isZero(otherwise)) return a;
    return mistake("units-differ", `One way gives ${typeWords(a)}, the other ${typeWords(b)}.`, span);
  }

  private call(expression: Expression & { is: "call" }): FormulaType {
    const { name, nameSpan, args } = expression;
    const found = this.language.functions.get(name);
    if (!found) {
      if (this.names.has(name)) {
        return mistake("not-a-function", `“${name}” is a value: write × between it and the bracket.`, nameSpan);
      }
      const all = this.language.functions.keys();
      return mistake("unknown-function", `There is no “${name}(…)”.${orNearest(name, all)}`, nameSpan);
    }
    if (found.takes[0] === "rows") return this.overRows(found, expression);
    if (found.takes[0] === "table") return this.lookup(expression);
    this.arguments(found, expression);
    if (found.gives === "each" || found.gives === "column") return COUNT;
    if (found.gives === "same") return args[0] ? this.firstWithUnit(args) : COUNT;
    if (found.gives === "root") return this.root(args[0]);
    return found.gives;
  }

  private firstWithUnit(args: readonly Expression[]): FormulaType {
    const [first] = args;
    return this.typeOf(
      args.find((each) => !isZero(each)) ?? first ?? { is: "number", value: 0, span: { from: 0, to: 0 } },
    );
  }

  private root(of: Expression | undefined): FormulaType {
    if (!of) return COUNT;
    const dims = this.number(of, "only a quantity has a root");
    if (dims.every((power) => power % 2 === 0)) return { is: "number", dims: timesDims(dims, 0.5) };
    return mistake(
      "root",
      `${this.quote(of)} is ${typeWords({ is: "number", dims })}, which has no square root.`,
      of.span,
    );
  }

  private arguments({ name, takes }: FunctionSignature, { args, nameSpan }: Expression & { is: "call" }): void {
    const last = takes[takes.length - 1];
    const many = last === "roles" || (last === "same" && takes.length === 1);
    if (args.length < takes.length || (!many && args.length > takes.length)) {
      const wanted = takes.length === 0 ? "nothing" : takes.map((each) => TAKES_WORDS[each]).join(", ");
      mistake("arguments", `${name}(…) takes ${wanted} in its brackets.`, nameSpan);
    }
    if (last === "same") {
      this.allAlike(args);
      return;
    }
    for (const [index, arg] of args.entries()) this.argument(name, takes[index] ?? last ?? "number", arg);
  }

  private argument(name: string, takes: Takes, arg: Expression): void {
    if (takes === "roles" || takes === "sheet-role") {
      this.role(takes, arg);
      return;
    }
    if (takes === "leaf") {
      if (arg.is === "text" && LEAVES.has(arg.value)) return;
      mistake(
        "not-a-leaf",
        `${this.quote(arg)} is no leaf: write "outer" or "inner". The only leaf of a wall is its outer one.`,
        arg.span,
      );
    }
    const type = this.typeOf(arg);
    if (takes === "sheet-size") {
      if (type.is !== "text")
        mistake("not-a-size", `${this.quote(arg)} is ${typeWords(type)}, not a sheet size.`, arg.span);
      return;
    }
    if (type.is !== "number") {
      mistake("not-a-number", `${this.quote(arg)} is ${typeWords(type)}; ${name}(…) takes a quantity.`, arg.span);
      return;
    }
    const wanted = takes === "count" ? COUNT : takes === "length" ? LENGTH : undefined;
    if (wanted?.is !== "number" || sameDims(wanted.dims, type.dims)) return;
    const advice = takes === "count" ? " Divide it by another first." : "";
    const message = `${name}(…) takes ${typeWords(wanted)}, and ${this.quote(arg)} is ${typeWords(type)}.${advice}`;
    mistake("units-differ", message, arg.span);
  }

  private role(takes: "roles" | "sheet-role", arg: Expression): void {
    const roles = this.language.roles.filter((role) => takes === "roles" || role.form === "sheet").map(({ id }) => id);
    if (arg.is !== "text") {
      mistake("not-a-role", `Here goes a role in quotes, such as "${roles[0] ?? "stud"}".`, arg.span);
      return;
    }
    if (roles.includes(arg.value)) return;
    const none = roles.length === 0 ? " Nothing is laid out on such a part." : orNearest(arg.value, roles);
    mistake("unknown-role", `There is no role “${arg.value}”.${none}`, arg.span);
  }

  private allAlike(args: readonly Expression[]): void {
    const lead = args.find((each) => !isZero(each));
    if (!lead) return;
    const dims = this.number(lead, "only quantities have a least and a most");
    for (const arg of args) {
      const other = this.number(arg, "only quantities have a least and a most");
      if (isZero(arg) || sameDims(dims, other)) continue;
      const message = `${this.quote(lead)} is ${typeWords({ is: "number", dims })} and ${this.quote(arg)} is ${typeWords({ is: "number", dims: other })}: they cannot be compared.`;
      mistake("units-differ", message, arg.span);
    }
  }
}

const TAKES_WORDS: Record<Takes, string> = {
  count: "a count",
  length: "a length",
  roles: "roles in quotes",
  "sheet-role": "a role of sheets in quotes",
  "sheet-size": "a sheet size",
  leaf: "a leaf in quotes",
  rows: "rows",
  each: "one thing of each",
  table: "a table in quotes",
  column: "a column in quotes",
  same: "quantities",
  number: "a quantity",
};

/** Leaves of a wall: the only one is the outer. */
const LEAVES: ReadonlySet<string> = new Set(["outer", "inner"]);

/** Nothing is nothing, in any unit. */
const isZero = (expression: Expression): boolean => expression.is === "number" && expression.value === 0;

/** What a formula gives, by its units; or the first thing wrong with it, in words, and where. */
export function checkFormula(
  text: string,
  expression: Expression,
  names: NameTypes,
  language: Language,
): CheckedFormula {
  try {
    return { ok: true, type: new Checker(text, names, language).typeOf(expression) };
  } catch (error) {
    if (error instanceof Mistake) return { ok: false, problem: error.problem };
    throw error;
  }
}

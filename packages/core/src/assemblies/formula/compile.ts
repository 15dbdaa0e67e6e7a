import type { RowValues } from "../../kinds";
import { ownValue } from "../../records/ownValue";
import { lookUp } from "../lookUp";
import type { AssemblyTable } from "../table";
import type { Expression, FormulaProblem, Span } from "./expression";
import { functionOf } from "./functions";
import type { LayoutAnswers, Value } from "./layoutAnswers";
import { unitOf } from "./words";

/** What a formula is worked out over. */
export type Ground = {
  readonly values: { readonly get: (name: string) => Value | undefined };
  readonly laid: LayoutAnswers;
  /** What the part has several of, by the names formulas use. */
  readonly rows?: Readonly<Record<string, readonly RowValues[]>>;
  readonly tables?: ReadonlyMap<string, AssemblyTable>;
  /** A property of what a parameter names; undefined where it has none. */
  readonly propertyOf?: (parameter: string, property: string) => Value | undefined;
};

export type Worked =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly problem: FormulaProblem };
export type CompiledFormula = (ground: Ground) => Worked;

type Run = (ground: Ground) => Value;

/** A fault in working out, carried up to `compileFormula`'s edge. */
class Fault extends Error {
  constructor(readonly problem: FormulaProblem) {
    super(problem.message);
  }
}

const numberOf = (value: Value): number => (typeof value === "number" ? value : Number.NaN);
/** Lengths come as sums of floating metres: what is equal but for a hair is equal. */
const HAIR = 1e-9;
const equal = (a: Value, b: Value): boolean =>
  typeof a === "number" && typeof b === "number" ? Math.abs(a - b) <= HAIR * Math.max(1, Math.abs(a)) : a === b;

/** What is left of a sum that is nothing but for rounding is nothing: 0.3 m - 3 * 0.1 m divides nobody. */
const ROUNDING = 1e-12;
function sumOf(a: number, b: number): number {
  const sum = a + b;
  return Math.abs(sum) <= ROUNDING * Math.max(Math.abs(a), Math.abs(b)) ? 0 : sum;
}

function runOf(expression: Expression): Run {
  switch (expression.is) {
    case "number":
    case "text":
    case "yes-no": {
      const { value } = expression;
      return () => value;
    }
    case "name":
      return runName(expression);
    case "unary": {
      const of = runOf(expression.of);
      return expression.operator === "-" ? (ground) => -numberOf(of(ground)) : (ground) => of(ground) !== true;
    }
    case "if": {
      const [when, then, otherwise] = [runOf(expression.when), runOf(expression.then), runOf(expression.otherwise)];
      return (ground) => (when(ground) === true ? then(ground) : otherwise(ground));
    }
    case "call":
      return runCall(expression);
    case "property":
      return runProperty(expression);
    case "binary":
      return runBinary(expression);
  }
}

function runName({ name, span }: Expression & { is: "name" }): Run {
  const unit = unitOf(name)?.value;
  return ({ values }) => {
    const value = values.get(name) ?? unit ?? (name === "pi" ? Math.PI : undefined);
    if (value !== undefined) return value;
    throw new Fault({ code: "no-value", message: `“${name}” has no value here.`, span });
  };
}

function runProperty({ of, property, span }: Expression & { is: "property" }): Run {
  return ({ propertyOf }) => {
    const value = propertyOf?.(of, property);
    if (value !== undefined) return value;
    throw new Fault({ code: "no-value", message: `What “${of}” names has no “${property}”.`, span });
  };
}

/** Each row's own values go before the formula's names. */
function runOverRows({ name, args: [rows, each] }: Expression & { is: "call" }): Run {
  const run = functionOf(name)?.run;
  const rowsName = rows?.is === "name" ? rows.name : "";
  const one = each ? runOf(each) : () => true;
  return (ground) => {
    const own = ownValue(ground.rows ?? {}, rowsName) ?? [];
    const values = own.map((row) =>
      one({ ...ground, values: { get: (key) => ownValue(row, key) ?? ground.values.get(key) } }),
    );
    return run?.(values, ground.laid) ?? Number.NaN;
  };
}

function runLookup({ args, span }: Expression & { is: "call" }): Run {
  const [named, by, column] = args;
  const [name, wanted] = [named, column].map((each) => (each?.is === "text" ? each.value : undefined));
  const key = by ? runOf(by) : () => Number.NaN;
  return (ground) => {
    const table = ground.tables?.get(name ?? "");
    const found = table && lookUp(table, numberOf(key(ground)), wanted);
    if (found !== undefined && "value" in found) return found.value;
    const message = found?.miss ?? `There is no table “${name}”.`;
    throw new Fault({ code: "no-row", message, span });
  };
}

function runCall(expression: Expression & { is: "call" }): Run {
  const { name, args, nameSpan } = expression;
  const takes = functionOf(name)?.takes[0];
  if (takes === "rows") return runOverRows(expression);
  if (takes === "table") return runLookup(expression);
  const run = functionOf(name)?.run ?? askOfLayout(name, nameSpan);
  const texts = args.flatMap((arg) => (arg.is === "text" ? [arg.value] : []));
  // Most calls name roles and nothing else: `pieces("stud")`.
  if (texts.length === args.length) return ({ laid }) => run(texts, laid);
  const runs = args.map(runOf);
  return (ground) =>
    run(
      runs.map((each) => each(ground)),
      ground.laid,
    );
}

/** A function of the part's kind, which its layout answers. */
const askOfLayout =
  (name: string, span: Span) =>
  (args: readonly Value[], laid: LayoutAnswers): number => {
    const answer = laid.ask(name, args);
    if (answer !== undefined) return answer;
    throw new Fault({ code: "unknown-function", message: `Nothing here can tell “${name}(…)”.`, span });
  };

function runBinary({ operator, left, right }: Expression & { is: "binary" }): Run {
  const [a, b] = [runOf(left), runOf(right)];
  switch (operator) {
    case "+":
      return (ground) => sumOf(numberOf(a(ground)), numberOf(b(ground)));
    case "-":
      return (ground) => sumOf(numberOf(a(ground)), -numberOf(b(ground)));
    case "*":
      return (ground) => numberOf(a(ground)) * numberOf(b(ground));
    case "/":
      return (ground) => {
        const by = numberOf(b(ground));
        if (by !== 0) return numberOf(a(ground)) / by;
        throw new Fault({
          code: "division-by-zero",
          message: "This divides by nothing: it is 0 here.",
          span: right.span,
        });
      };
    case "^":
      return (ground) => numberOf(a(ground)) ** numberOf(b(ground));
    case "and":
      return (ground) => a(ground) === true && b(ground) === true;
    case "or":
      return (ground) => a(ground) === true || b(ground) === true;
    case "==":
      return (ground) => equal(a(ground), b(ground));
    case "!=":
      return (ground) => !equal(a(ground), b(ground));
    case "<":
      return (ground) => numberOf(a(ground)) < numberOf(b(ground)) - HAIR;
    case "<=":
      return (ground) => numberOf(a(ground)) <= numberOf(b(ground)) + HAIR;
    case ">":
      return (ground) => numberOf(a(ground)) > numberOf(b(ground)) + HAIR;
    case ">=":
      return (ground) => numberOf(a(ground)) >= numberOf(b(ground)) - HAIR;
  }
}

/** A formula ready to be worked out many times. A result that is no number is a problem, never a figure. */
export function compileFormula(expression: Expression): CompiledFormula {
  const compiled = runOf(expression);
  return (ground) => {
    try {
      const value = compiled(ground);
      if (typeof value !== "number" || Number.isFinite(value)) return { ok: true, value };
      const message = "This comes to no number here.";
      return { ok: false, problem: { code: "not-finite", message, span: expression.span } };
    } catch (error) {
      if (error instanceof Fault) return { ok: false, problem: error.problem };
      throw error;
    }
  };
}

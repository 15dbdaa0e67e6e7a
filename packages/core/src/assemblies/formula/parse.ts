import {
  type ConditionalNode,
  type ConstantNode,
  create,
  type FunctionNode,
  type MathNode,
  type OperatorNode,
  type ParenthesisNode,
  parseDependencies,
  type SymbolNode,
} from "mathjs/number";
import { LONGEST_FORMULA } from "../schema";
import type { BinaryOperator, Expression, FormulaProblem, Span } from "./expression";
import { groupFigures } from "./groupFigures";

// The list of what the parser is made of is there, though its types allow for none.
const { parse } = create(parseDependencies ?? {}, {});

export type ParsedFormula =
  | { readonly ok: true; readonly expression: Expression }
  | { readonly ok: false; readonly problem: FormulaProblem };

/** The reader takes `in` for an operator; this letter pair, as long, stands for it while it reads. */
const INCH_FOR_READER = "ïn";
const BINARY: ReadonlySet<string> = new Set(["+", "-", "*", "/", "^", "<", "<=", ">", ">=", "==", "!=", "and", "or"]);
const NAMED_OPERATORS: ReadonlySet<string> = new Set(["and", "or", "not"]);
const LEAF = /"[^"]*"|\d+(?:\.\d*)?(?:e[+-]?\d+)?|\.\d+(?:e[+-]?\d+)?|[A-Za-zï_][A-Za-z0-9_ï]*/gi;

class Refusal extends Error {
  constructor(readonly problem: FormulaProblem) {
    super(problem.message);
  }
}

const refuse = (code: string, message: string, span: Span): never => {
  throw new Refusal({ code, message, span });
};

/** Signs from a phone's keyboard, each replaced by one of the same length. */
const forReader = (text: string): string =>
  text
    .replace(/×/g, "*")
    .replace(/÷/g, "/")
    .replace(/−/g, "-")
    .replace(/[“”]/g, '"')
    .replace(/(\d\s*|\)\s*)in\b/g, (_, before: string) => before + INCH_FOR_READER);

/** Signs that mean something else to the reader, and what to write instead. */
const NOT_HERE: readonly { readonly sign: RegExp; readonly message: string }[] = [
  { sign: /'/, message: "Write a length as 12 ft + 6 in, or 3.8 m." },
  { sign: /%/, message: "Write a share as a number: 1.05 for 5 % more." },
  { sign: /(?<![<>=!])=(?!=)/, message: "To compare, write == with two signs." },
  { sign: /[^\w\s.,+\-*/^()<>=!"?:ï]/, message: "This sign has no meaning in a formula." },
];

/** The reader goes some thirty calls down for each bracket. */
const DEEPEST = 40;

/** How many brackets are open at once, signs before a number and ways of a choice among them. */
function depthOf(text: string): number {
  let [open, deepest] = [0, 0];
  for (const sign of text) {
    if (sign === "(" || sign === "?") open += 1;
    if (sign === ")") open -= 1;
    deepest = Math.max(deepest, open);
  }
  const signs = text.match(/(?:(?:[-+]|\bnot\b)\s*){2,}|(?:\^[^()^]*)+/g) ?? [];
  return deepest + Math.max(0, ...signs.map((run) => run.length / 8));
}

/** Finds where the leaves of a formula stand: their order in the text is their order in the tree. */
class Leaves {
  private readonly spans: Span[];
  private next = 0;

  constructor(text: string) {
    this.spans = [...text.matchAll(LEAF)]
      .filter((match) => !NAMED_OPERATORS.has(match[0]))
      .map((match) => ({ from: match.index, to: match.index + match[0].length }));
  }

  take(): Span {
    const span = this.spans[this.next] ?? { from: 0, to: 0 };
    this.next += 1;
    return span;
  }
}

const over = (first: Span, last: Span): Span => ({ from: first.from, to: last.to });

function constant(node: ConstantNode, leaves: Leaves): Expression {
  const span = leaves.take();
  const value: unknown = node.value;
  if (typeof value === "number") return { is: "number", value, span };
  if (typeof value === "boolean") return { is: "yes-no", value, span };
  if (typeof value === "string") return { is: "text", value, span };
  return refuse("not-allowed", "This has no meaning in a formula.", span);
}

/** `2 ft`, `32 ft^2`, `1/2 in`: the one thing that may stand without a sign between. */
function isFigureWithUnit({ args: [figure, unit] }: OperatorNode): boolean {
  const isFigure = (node: MathNode | undefined): boolean =>
    node?.type === "ConstantNode" || (isDivision(node) && node.args.every((each) => each.type === "ConstantNode"));
  const isUnit = (node: MathNode | undefined): boolean =>
    node?.type === "SymbolNode" || (isOperator(node) && node.op === "^" && node.args[0]?.type === "SymbolNode");
  return isFigure(figure) && isUnit(unit);
}

const isOperator = (node: MathNode | undefined): node is OperatorNode => node?.type === "OperatorNode";
const isDivision = (node: MathNode | undefined): node is OperatorNode => isOperator(node) && node.op === "/";

function operator(node: OperatorNode, leaves: Leaves): Expression {
  const args = node.args.map((each) => convert(each, leaves));
  const [left, right] = args;
  if (!left) return refuse("not-allowed", "Something is missing here.", { from: 0, to: 0 });
  if (!right) {
    if (node.fn === "unaryPlus") return left;
    const sign = node.fn === "unaryMinus" ? "-" : node.fn === "not" ? "not" : undefined;
    if (!sign) return refuse("not-allowed", `“${node.op}” has no meaning here.`, left.span);
    return { is: "unary", operator: sign, of: left, span: left.span };
  }
  const span = over(left.span, right.span);
  if (node.implicit && !isFigureWithUnit(node)) return refuse("not-allowed", "Write a sign between these.", span);
  if (!BINARY.has(node.op)) return refuse("not-allowed", `“${node.op}” has no meaning in a formula.`, span);
  // Checked against the closed list above.
  return { is: "binary", operator: node.op as BinaryOperator, left, right, span };
}

function call(node: FunctionNode, leaves: Leaves): Expression {
  const nameSpan = leaves.take();
  const called: MathNode = node.fn as unknown as MathNode;
  if (called.type !== "SymbolNode") return refuse("not-allowed", "This has no meaning in a formula.", nameSpan);
  const { name } = called as SymbolNode;
  const args = node.args.map((each) => convert(each, leaves));
  const span = over(nameSpan, args[args.length - 1]?.span ?? nameSpan);
  const [when, then, otherwise] = args;
  if (name === "if" && when && then && otherwise && args.length === 3) {
    return { is: "if", when, then, otherwise, span };
  }
  return { is: "call", name, nameSpan, args, span };
}

function convert(node: MathNode, leaves: Leaves): Expression {
  switch (node.type) {
    case "ConstantNode":
      return constant(node as ConstantNode, leaves);
    case "SymbolNode": {
      const { name } = node as SymbolNode;
      return { is: "name", name: name === INCH_FOR_READER ? "in" : name, span: leaves.take() };
    }
    case "ParenthesisNode":
      return convert((node as ParenthesisNode).content, leaves);
    case "OperatorNode":
      return operator(node as OperatorNode, leaves);
    case "FunctionNode":
      return call(node as FunctionNode, leaves);
    case "ConditionalNode": {
      const { condition, trueExpr, falseExpr } = node as ConditionalNode;
      const when = convert(condition, leaves);
      const then = convert(trueExpr, leaves);
      const otherwise = convert(falseExpr, leaves);
      return { is: "if", when, then, otherwise, span: over(when.span, otherwise.span) };
    }
    default:
      return refuse("not-allowed", "This has no meaning in a formula.", leaves.take());
  }
}

const SAID: readonly { readonly about: RegExp; readonly message: string }[] = [
  { about: /end of expression/i, message: "The formula ends too early." },
  { about: /parenthesis/i, message: "A closing bracket is missing." },
  { about: /end of string/i, message: "A closing quote is missing." },
];

function syntaxProblem(
  error: SyntaxError & { char?: number },
  text: string,
  originOf: (at: number) => number,
): FormulaProblem {
  const at = Math.min(Math.max(0, originOf((error.char ?? 1) - 1)), text.length);
  const message = SAID.find(({ about }) => about.test(error.message))?.message ?? "This cannot stand here.";
  return { code: "not-a-formula", message, span: { from: at, to: Math.min(text.length, at + 1) } };
}

/**
 * Reads a formula: `ceil(length / spacing) + 1`.
 *
 * Numbers, names, + − × ÷ ^, comparisons, and / or / not, `if(when, then, else)` and calls of named functions; no
 * assignment, no list, nothing else. Whether names exist and units fit is for `checkFormula`.
 */
export function parseFormula(written: string): ParsedFormula {
  const text = forReader(written);
  if (text.trim() === "") {
    return { ok: false, problem: { code: "empty", message: "Write a formula.", span: { from: 0, to: 0 } } };
  }
  if (written.length > LONGEST_FORMULA) {
    const message = `A formula has at most ${LONGEST_FORMULA} characters; this one has ${written.length}. Divide it into steps.`;
    return { ok: false, problem: { code: "too-long", message, span: { from: LONGEST_FORMULA, to: written.length } } };
  }
  if (depthOf(text) > DEEPEST) {
    const message = "This is nested too deep. Divide it into steps.";
    return { ok: false, problem: { code: "too-deep", message, span: { from: 0, to: written.length } } };
  }
  const grouped = groupFigures(text);
  try {
    const signs = text.replace(/"[^"]*"/g, (quoted) => `"${"_".repeat(quoted.length - 2)}"`);
    for (const { sign, message } of NOT_HERE) {
      const found = sign.exec(signs);
      if (found) refuse("not-allowed", message, { from: found.index, to: found.index + found[0].length });
    }
    return { ok: true, expression: convert(parse(grouped.text), new Leaves(text)) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problem: error.problem };
    if (error instanceof SyntaxError) return { ok: false, problem: syntaxProblem(error, text, grouped.originOf) };
    throw error;
  }
}

import { LONGEST_FORMULA } from "../longestFormula";
import type { BinaryOperator, Expression, FormulaProblem, Span } from "./expression";
import { Refusal, refuse, type Token, tokensOf } from "./tokens";

export type ParsedFormula =
  | { readonly ok: true; readonly expression: Expression }
  | { readonly ok: false; readonly problem: FormulaProblem };

/** How many brackets, signs before a number and ways of a choice may be open at once. */
const DEEPEST = 40;

const COMPARISONS: ReadonlySet<string> = new Set(["<", "<=", ">", ">=", "==", "!="]);
/** Words between two things: no figure has them for a unit. */
const WORDS: ReadonlySet<string> = new Set(["and", "or", "not"]);
/** What a figure comes after, so that `1/2 in` is no fraction there. */
const SAME_RANK: ReadonlySet<string> = new Set(["*", "/", "^", ")", "."]);

const over = (first: Span, last: Span): Span => ({ from: first.from, to: last.to });

/** Reads by rank, from the loosest sign to the tightest: a step down for each. */
class Reader {
  private at = 0;
  private depth = 0;
  /** Where an expression stands with the brackets round it; its own span is without them. */
  private readonly outer = new WeakMap<Expression, Span>();

  constructor(private readonly tokens: readonly Token[]) {}

  /** The whole formula. */
  whole(): Expression {
    const expression = this.choice();
    const next = this.peek();
    if (next.is !== "end") this.unexpected(next);
    return expression;
  }

  private peek(ahead = 0): Token {
    return this.tokens[Math.min(this.at + ahead, this.tokens.length - 1)] ?? { is: "end", span: { from: 0, to: 0 } };
  }

  private take(): Token {
    const token = this.peek();
    this.at += 1;
    return token;
  }

  private isSign(sign: string, token = this.peek()): boolean {
    return token.is === "sign" && token.sign === sign;
  }

  private isWord(word: string): boolean {
    const token = this.peek();
    return token.is === "name" && token.name === word;
  }

  private unexpected(token: Token): never {
    if (token.is === "end") return refuse("not-a-formula", "The formula ends too early.", token.span);
    return refuse("not-a-formula", "This cannot stand here.", { from: token.span.from, to: token.span.from + 1 });
  }

  private expectSign(sign: string): Token {
    const token = this.peek();
    if (this.isSign(sign, token)) return this.take();
    if (sign === ")" && token.is === "end") return refuse("not-a-formula", "A closing bracket is missing.", token.span);
    return this.unexpected(token);
  }

  private deeper<T>(read: () => T): T {
    this.depth += 1;
    if (this.depth > DEEPEST) {
      const last = this.tokens[this.tokens.length - 1]?.span.to ?? 0;
      refuse("too-deep", "This is nested too deep. Divide it into steps.", { from: 0, to: last });
    }
    const result = read();
    this.depth -= 1;
    return result;
  }

  private spanOf(expression: Expression): Span {
    return this.outer.get(expression) ?? expression.span;
  }

  private joined(operator: BinaryOperator, left: Expression, right: Expression): Expression {
    return { is: "binary", operator, left, right, span: over(this.spanOf(left), this.spanOf(right)) };
  }

  private choice(): Expression {
    const when = this.either();
    if (!this.isSign("?")) return when;
    this.take();
    return this.deeper(() => {
      const then = this.choice();
      this.expectSign(":");
      const otherwise = this.choice();
      return { is: "if", when, then, otherwise, span: over(this.spanOf(when), this.spanOf(otherwise)) };
    });
  }

  private either(): Expression {
    let left = this.both();
    while (this.isWord("or")) {
      this.take();
      left = this.joined("or", left, this.both());
    }
    return left;
  }

  private both(): Expression {
    let left = this.negated();
    while (this.isWord("and")) {
      this.take();
      left = this.joined("and", left, this.negated());
    }
    return left;
  }

  private negated(): Expression {
    if (!this.isWord("not")) return this.compared();
    const { span } = this.take();
    const of = this.deeper(() => this.negated());
    return { is: "unary", operator: "not", of, span: over(span, this.spanOf(of)) };
  }

  private compared(): Expression {
    const left = this.sum();
    const sign = this.peek();
    if (sign.is !== "sign" || !COMPARISONS.has(sign.sign)) return left;
    this.take();
    // The set above is of comparisons alone.
    const both = this.joined(sign.sign as BinaryOperator, left, this.sum());
    const next = this.peek();
    if (next.is !== "sign" || !COMPARISONS.has(next.sign)) return both;
    return refuse(
      "not-allowed",
      "Compare two at a time: write “and” between two comparisons.",
      over(both.span, next.span),
    );
  }

  private sum(): Expression {
    let left = this.product();
    while (this.isSign("+") || this.isSign("-")) {
      const operator = this.isSign("+") ? "+" : "-";
      this.take();
      left = this.joined(operator, left, this.product());
    }
    return left;
  }

  private product(): Expression {
    let left = this.signed();
    while (this.isSign("*") || this.isSign("/")) {
      const operator = this.isSign("*") ? "*" : "/";
      this.take();
      left = this.joined(operator, left, this.signed());
    }
    const next = this.peek();
    const beside = next.is === "number" || next.is === "text" || (next.is === "name" && !WORDS.has(next.name));
    if (beside || this.isSign("("))
      refuse("not-allowed", "Write a sign between these.", over(this.spanOf(left), next.span));
    return left;
  }

  private signed(): Expression {
    const { span } = this.peek();
    if (this.isSign("+")) {
      this.take();
      return this.deeper(() => this.signed());
    }
    if (!this.isSign("-")) return this.power();
    this.take();
    const of = this.deeper(() => this.signed());
    return { is: "unary", operator: "-", of, span: over(span, this.spanOf(of)) };
  }

  private power(): Expression {
    const base = this.primary();
    if (!this.isSign("^")) return base;
    this.take();
    return this.joined(
      "^",
      base,
      this.deeper(() => this.signed()),
    );
  }

  private primary(): Expression {
    const token = this.peek();
    switch (token.is) {
      case "number":
        return this.figure();
      case "text":
        this.take();
        return { is: "text", value: token.value, span: token.span };
      case "name":
        return this.named();
      case "sign":
        return token.sign === "(" ? this.bracketed() : this.unexpected(token);
      case "end":
        return this.unexpected(token);
    }
  }

  private bracketed(): Expression {
    const open = this.take();
    const inner = this.deeper(() => this.choice());
    const close = this.expectSign(")");
    this.outer.set(inner, over(open.span, close.span));
    return inner;
  }

  /** `2`, `2 ft`, `32 ft^2`, and `1/2 in` as a tape reads it: a figure with its unit is one thing. */
  private figure(): Expression {
    const before = this.tokens[this.at - 1];
    const first = this.number();
    const free = !(before?.is === "sign" && SAME_RANK.has(before.sign));
    if (free && this.isSign("/") && this.peek(1).is === "number" && this.isUnit(this.peek(2))) {
      this.take();
      return this.withUnit(this.joined("/", first, this.number()));
    }
    return this.isUnit(this.peek()) ? this.withUnit(first) : first;
  }

  private number(): Expression {
    const token = this.take();
    return token.is === "number" ? { is: "number", value: token.value, span: token.span } : this.unexpected(token);
  }

  private isUnit(token: Token): boolean {
    return token.is === "name" && !WORDS.has(token.name);
  }

  private withUnit(figure: Expression): Expression {
    const token = this.take();
    if (token.is !== "name") return this.unexpected(token);
    const unit: Expression = { is: "name", name: token.name, span: token.span };
    const raised = this.isSign("^") && this.peek(1).is === "number";
    if (!raised) return this.joined("*", figure, unit);
    this.take();
    return this.joined("*", figure, this.joined("^", unit, this.number()));
  }

  private named(): Expression {
    const token = this.take();
    if (token.is !== "name") return this.unexpected(token);
    const { name, span } = token;
    if (name === "true" || name === "false") return { is: "yes-no", value: name === "true", span };
    if (WORDS.has(name)) return this.unexpected(token);
    if (this.isSign("(")) return this.call(name, span);
    if (!this.isSign(".")) return { is: "name", name, span };
    this.take();
    const property = this.take();
    if (property.is !== "name") return this.unexpected(property);
    const whole = over(span, property.span);
    if (this.isSign("(")) refuse("not-allowed", "This has no meaning in a formula.", whole);
    return { is: "property", of: name, property: property.name, span: whole, ofSpan: span };
  }

  private call(name: string, nameSpan: Span): Expression {
    this.take();
    const args: Expression[] = [];
    this.deeper(() => {
      while (!this.isSign(")")) {
        args.push(this.choice());
        if (!this.isSign(",")) break;
        this.take();
        if (this.isSign(")")) this.unexpected(this.peek());
      }
    });
    const close = this.expectSign(")");
    const span = over(nameSpan, close.span);
    const [when, then, otherwise] = args;
    if (name === "if" && when && then && otherwise && args.length === 3)
      return { is: "if", when, then, otherwise, span };
    return { is: "call", name, nameSpan, args, span };
  }
}

/**
 * Reads a formula: `ceil(length / spacing) + 1`.
 *
 * Numbers, names, properties, + − × ÷ ^, comparisons, and / or / not, `if(when, then, else)` and calls of named functions; no
 * assignment, no list, nothing else. Whether names exist and units fit is for `checkFormula`. Each expression knows where it
 * stands in the text.
 */
export function parseFormula(written: string): ParsedFormula {
  if (written.trim() === "") {
    return { ok: false, problem: { code: "empty", message: "Write a formula.", span: { from: 0, to: 0 } } };
  }
  if (written.length > LONGEST_FORMULA) {
    const message = `A formula has at most ${LONGEST_FORMULA} characters; this one has ${written.length}. Divide it into steps.`;
    return { ok: false, problem: { code: "too-long", message, span: { from: LONGEST_FORMULA, to: written.length } } };
  }
  try {
    return { ok: true, expression: new Reader(tokensOf(written)).whole() };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problem: error.problem };
    throw error;
  }
}

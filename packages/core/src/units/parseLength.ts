import Fraction from "fraction.js";
import { type Parsed, parsed, refused } from "../problems/problem";
import { type MeasuringSystem, type Nanometres, NM_PER_INCH, NM_PER_MM } from "./length";
import { type Quantity, type Token, tokeniseLength } from "./lengthTokens";

/** Longer entries are slips of a sleeve on the screen, not arithmetic. */
export const LONGEST_ENTRY = 120;
/** Past this an entry cannot be kept as whole nanometres; no house is a thousandth of it. */
const LARGEST_NM = Number.MAX_SAFE_INTEGER;

class EntryError extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

/** Recursive descent over the tokens of one entry: sums of products of lengths, bare numbers and brackets. */
class EntryReader {
  private next = 0;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly bareUnitNm: number,
  ) {}

  readAll(): Quantity {
    const result = this.sum();
    if (this.next < this.tokens.length) {
      if (this.peekSign() === ")") throw new EntryError("bracket", "There is a closing bracket too many.");
      throw new EntryError("no-sign", "Put +, −, × or ÷ between the two figures.");
    }
    return result;
  }

  private peekSign(): string | undefined {
    const token = this.tokens[this.next];
    return token?.type === "sign" ? token.sign : undefined;
  }

  private sum(): Quantity {
    let left = this.product();
    for (let sign = this.peekSign(); sign === "+" || sign === "-"; sign = this.peekSign()) {
      this.next += 1;
      const right = this.product();
      left = this.add(left, right, sign);
    }
    return left;
  }

  private product(): Quantity {
    let left = this.factor();
    for (let sign = this.peekSign(); sign === "*" || sign === "/"; sign = this.peekSign()) {
      this.next += 1;
      const right = this.factor();
      left = sign === "*" ? multiply(left, right) : divide(left, right);
    }
    return left;
  }

  private factor(): Quantity {
    const token = this.tokens[this.next];
    if (!token) throw new EntryError("unfinished", "The entry stops before its last figure.");
    this.next += 1;
    if (token.type === "quantity") return token.quantity;
    if (token.sign === "-") {
      const value = this.factor();
      return { kind: value.kind, amount: value.amount.neg() };
    }
    if (token.sign !== "(") throw new EntryError("unfinished", "A figure is missing between two signs.");
    const inner = this.sum();
    if (this.peekSign() !== ")") throw new EntryError("bracket", "A bracket is not closed.");
    this.next += 1;
    return inner;
  }

  private add(left: Quantity, right: Quantity, sign: "+" | "-"): Quantity {
    const [a, b] = left.kind === right.kind ? [left, right] : [this.asLength(left), this.asLength(right)];
    return { kind: a.kind, amount: sign === "+" ? a.amount.add(b.amount) : a.amount.sub(b.amount) };
  }

  asLength(quantity: Quantity): Quantity {
    if (quantity.kind === "length") return quantity;
    return { kind: "length", amount: quantity.amount.mul(this.bareUnitNm) };
  }
}

function multiply(left: Quantity, right: Quantity): Quantity {
  if (left.kind === "length" && right.kind === "length") {
    throw new EntryError("area", "A length times a length is an area. One of the two should be a plain number.");
  }
  const kind = left.kind === "length" || right.kind === "length" ? "length" : "bare";
  return { kind, amount: left.amount.mul(right.amount) };
}

function divide(left: Quantity, right: Quantity): Quantity {
  if (right.amount.equals(0)) throw new EntryError("divide-by-zero", "This divides by zero.");
  if (right.kind === "length") {
    throw new EntryError("ratio", "Dividing by a length gives a count, not a length. Divide by a plain number.");
  }
  return { kind: left.kind, amount: left.amount.div(right.amount) };
}

/** Half away from zero, on the exact fraction. */
function roundToWhole(amount: Fraction): number {
  const whole = amount.abs().add(new Fraction(1, 2)).floor().valueOf();
  return amount.compare(0) < 0 ? -whole : whole;
}

/**
 * Reads a length as a builder types it, with arithmetic, in either system whatever the job's own:
 * `12'6 1/2`, `12-6-1/2`, `150"`, `3.81m`, `16'4 - 3 1/2`, `2 × (3'4 + 6)`.
 *
 * A bare figure is inches in an imperial job and millimetres in a metric one. The result may be zero or negative;
 * the field decides what it allows. A fraction of a nanometre is rounded half away from zero.
 */
export function parseLength(text: string, system: MeasuringSystem): Parsed<Nanometres> {
  if (text.trim() === "") return refused("empty", "Type a length.");
  if (text.length > LONGEST_ENTRY) return refused("too-long", `An entry has at most ${LONGEST_ENTRY} characters.`);
  const tokens = tokeniseLength(text, system);
  if (!tokens.ok) return tokens;
  try {
    const reader = new EntryReader(tokens.value, system === "imperial" ? NM_PER_INCH : NM_PER_MM);
    const valueNm = roundToWhole(reader.asLength(reader.readAll()).amount);
    if (Math.abs(valueNm) > LARGEST_NM) return refused("too-large", "This is longer than any building.");
    return parsed(valueNm);
  } catch (error) {
    if (error instanceof EntryError) return refused(error.code, error.message);
    throw error;
  }
}

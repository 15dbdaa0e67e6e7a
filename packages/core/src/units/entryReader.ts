import Fraction from "fraction.js";
import { type Parsed, refused } from "../problems/problem";
import { type MeasuringSystem, NM_PER_FOOT, NM_PER_INCH, NM_PER_M, NM_PER_MM } from "./length";
import { type Quantity, type Token, tokeniseLength } from "./lengthTokens";

/** Longer entries are slips of a sleeve on the screen, not arithmetic. */
export const LONGEST_ENTRY = 120;

/** What an entry is to come to. A bare figure takes the job's own unit of it when it must. */
export type Wanted = Quantity["kind"];

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
    private readonly wanted: Wanted,
    private readonly units: Readonly<Record<Wanted, Fraction>>,
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
      left = sign === "*" ? this.multiply(left, right) : this.divide(left, right);
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
    const kind = left.kind === "bare" ? (right.kind === "bare" ? "bare" : right.kind) : left.kind;
    const [a, b] = [this.as(left, kind), this.as(right, kind)];
    return { kind, amount: sign === "+" ? a.amount.add(b.amount) : a.amount.sub(b.amount) };
  }

  private as(quantity: Quantity, kind: Wanted): Quantity {
    if (quantity.kind === kind) return quantity;
    if (quantity.kind !== "bare") throw new EntryError("mixed", "A length and an area cannot be added.");
    return { kind, amount: quantity.amount.mul(this.units[kind]) };
  }

  /** The whole entry as what it is to come to. */
  come(quantity: Quantity): Quantity {
    if (quantity.kind === "bare" || quantity.kind === this.wanted) return this.as(quantity, this.wanted);
    if (this.wanted === "bare") throw new EntryError("unit", "This is a plain number, with no unit.");
    if (this.wanted === "length") throw new EntryError("area", AREA_FOR_A_LENGTH);
    throw new EntryError("length", "That is a length. Multiply two of them, or write an area.");
  }

  private multiply(left: Quantity, right: Quantity): Quantity {
    if (left.kind !== "bare" && right.kind !== "bare") {
      if (this.wanted !== "area") throw new EntryError("area", AREA_FOR_A_LENGTH);
      if (left.kind === "area" || right.kind === "area") {
        throw new EntryError("volume", "An area times a length is a volume.");
      }
      return { kind: "area", amount: left.amount.mul(right.amount) };
    }
    const kind = left.kind === "bare" ? right.kind : left.kind;
    return { kind, amount: left.amount.mul(right.amount) };
  }

  private divide(left: Quantity, right: Quantity): Quantity {
    if (right.amount.equals(0)) throw new EntryError("divide-by-zero", "This divides by zero.");
    if (right.kind === "bare") return { kind: left.kind, amount: left.amount.div(right.amount) };
    if (this.wanted === "length") {
      throw new EntryError("ratio", "Dividing by a length gives a count, not a length. Divide by a plain number.");
    }
    if (right.kind === left.kind) return { kind: "bare", amount: left.amount.div(right.amount) };
    throw new EntryError("ratio", "Divide by a plain number.");
  }
}

const AREA_FOR_A_LENGTH = "A length times a length is an area. One of the two should be a plain number.";

/** Half away from zero, on the exact fraction. */
export function roundToWhole(amount: Fraction): number {
  const whole = amount.abs().add(new Fraction(1, 2)).floor().valueOf();
  return amount.compare(0) < 0 ? -whole : whole;
}

const BARE_UNITS: Readonly<Record<MeasuringSystem, Readonly<Record<Wanted, Fraction>>>> = {
  imperial: { bare: new Fraction(1), length: new Fraction(NM_PER_INCH), area: new Fraction(NM_PER_FOOT).pow(2) },
  metric: { bare: new Fraction(1), length: new Fraction(NM_PER_MM), area: new Fraction(NM_PER_M).pow(2) },
};

/** Works out an entry with its arithmetic: nanometres, square nanometres or a plain number, exactly. */
export function readEntry(text: string, wanted: Wanted, system: MeasuringSystem): Parsed<Fraction> {
  if (text.trim() === "") return refused("empty", EMPTY[wanted]);
  if (text.length > LONGEST_ENTRY) return refused("too-long", `An entry has at most ${LONGEST_ENTRY} characters.`);
  const tokens = tokeniseLength(text, system, WORDS[wanted]);
  if (!tokens.ok) return tokens;
  try {
    const reader = new EntryReader(tokens.value, wanted, BARE_UNITS[system]);
    return { ok: true, value: reader.come(reader.readAll()).amount };
  } catch (error) {
    if (error instanceof EntryError) return refused(error.code, error.message);
    throw error;
  }
}

const WORDS: Readonly<Record<Wanted, string>> = { length: "a length", area: "an area", bare: "a number" };

const EMPTY: Readonly<Record<Wanted, string>> = {
  length: "Type a length.",
  area: "Type an area, or two lengths with × between them.",
  bare: "Type a number.",
};

import type { FormulaProblem, Span } from "./expression";

/** A piece of a formula's text. */
export type Token = { readonly span: Span } & (
  | { readonly is: "number"; readonly value: number }
  | { readonly is: "name"; readonly name: string }
  | { readonly is: "text"; readonly value: string }
  | { readonly is: "sign"; readonly sign: string }
  | { readonly is: "end" }
);

/** Something that cannot be read, carried up to `parseFormula`'s edge. */
export class Refusal extends Error {
  constructor(readonly problem: FormulaProblem) {
    super(problem.message);
  }
}

export const refuse = (code: string, message: string, span: Span): never => {
  throw new Refusal({ code, message, span });
};

/** Signs from a phone's keyboard, each replaced by one of the same length. */
const asWritten = (text: string): string =>
  text.replace(/×/g, "*").replace(/÷/g, "/").replace(/−/g, "-").replace(/[“”]/g, '"');

/** Signs that mean something else to other programs, and what to write instead. */
const NOT_HERE: readonly { readonly sign: RegExp; readonly message: string }[] = [
  { sign: /'/, message: "Write a length as 12 ft + 6 in, or 3.8 m." },
  { sign: /%/, message: "Write a share as a number: 1.05 for 5 % more." },
  { sign: /(?<![<>=!])=(?!=)/, message: "To compare, write == with two signs." },
  { sign: /[^\w\s.,+\-*/^()<>=!"?:]/, message: "This sign has no meaning in a formula." },
];

const TOKEN =
  /\s+|(?<text>"[^"]*")|(?<number>\d+(?:\.\d*)?(?:e[+-]?\d+(?![A-Za-z_]))?|\.\d+(?:e[+-]?\d+)?)|(?<name>[A-Za-z_]\w*)|(?<sign><=|>=|==|!=|[-+*/^<>?:(),.])/iy;

function tokenOf(match: RegExpExecArray): Token | undefined {
  const span = { from: match.index, to: match.index + match[0].length };
  const { text, number, name, sign } = match.groups ?? {};
  if (text !== undefined) return { is: "text", value: text.slice(1, -1), span };
  if (number !== undefined) return { is: "number", value: Number(number), span };
  if (name !== undefined) return { is: "name", name, span };
  return sign === undefined ? undefined : { is: "sign", sign, span };
}

/** The tokens of a formula, with one at its end. Throws a `Refusal` for a sign that no formula has. */
export function tokensOf(written: string): Token[] {
  const text = asWritten(written);
  const signs = text.replace(/"[^"]*"/g, (quoted) => `"${"_".repeat(quoted.length - 2)}"`);
  for (const { sign, message } of NOT_HERE) {
    const found = sign.exec(signs);
    if (found) refuse("not-allowed", message, { from: found.index, to: found.index + found[0].length });
  }
  const tokens: Token[] = [];
  const pattern = new RegExp(TOKEN);
  while (pattern.lastIndex < text.length) {
    const at = pattern.lastIndex;
    const match = pattern.exec(text);
    if (!match) {
      const open = text[at] === '"';
      const end = { from: text.length, to: text.length };
      return refuse(
        "not-a-formula",
        open ? "A closing quote is missing." : "This cannot stand here.",
        open ? end : { from: at, to: at + 1 },
      );
    }
    const token = tokenOf(match);
    if (token) tokens.push(token);
  }
  tokens.push({ is: "end", span: { from: text.length, to: text.length } });
  return tokens;
}

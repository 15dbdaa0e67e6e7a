import type { Problem } from "@wide-porch/core";
import { HttpProblem } from "./problemDetails";

/** More levels than any record has. */
const DEEPEST = 60;
const MOST_TOLD = 20;

const NULL_BYTE = "\u0000";
/** With the `u` flag only halves that have lost their other one are seen. */
const HALF_A_CHARACTER = /\p{Surrogate}/u;
const isWellFormed = (text: string): boolean => !HALF_A_CHARACTER.test(text) && !text.includes(NULL_BYTE);

/** A list or a record that is being looked through: its names, and the next of them. */
type Frame = { readonly inside: object; readonly names: readonly string[] | undefined; next: number };

const isLookedInto = (value: unknown): value is object =>
  typeof value === "object" && value !== null && !ArrayBuffer.isView(value);

const frameOf = (inside: object): Frame => ({
  inside,
  names: Array.isArray(inside) ? undefined : Object.keys(inside),
  next: 0,
});

const nameAt = ({ names }: Frame, place: number): string => names?.[place] ?? String(place);
const sizeOf = ({ inside, names }: Frame): number => (names ? names.length : (inside as readonly unknown[]).length);

/** The names that lead to what was looked at last. */
const pathOf = (frames: readonly Frame[]): string[] => frames.map((frame) => nameAt(frame, frame.next - 1));

/**
 * What in a body is no text that can be stored: half a character of two, as where an emoji was cut through, or a null byte.
 * Every value and every name of a field is looked at, before any schema is; what is looked through is not copied.
 */
export function textProblems(body: unknown): Problem[] {
  const problems: Problem[] = [];
  if (typeof body === "string" && !isWellFormed(body)) problems.push(notText([]));
  const frames: Frame[] = isLookedInto(body) ? [frameOf(body)] : [];
  for (let frame = frames.at(-1); frame && problems.length < MOST_TOLD; frame = frames.at(-1)) {
    if (frame.next >= sizeOf(frame)) {
      frames.pop();
      continue;
    }
    const name = nameAt(frame, frame.next);
    frame.next += 1;
    if (frame.names && !isWellFormed(name))
      problems.push(notText([...pathOf(frames).slice(0, -1), "(name of a field)"]));
    const value = (frame.inside as Readonly<Record<string, unknown>>)[name];
    if (typeof value === "string" && !isWellFormed(value)) problems.push(notText(pathOf(frames)));
    if (!isLookedInto(value)) continue;
    if (frames.length >= DEEPEST) {
      problems.push({
        code: "too-deep",
        path: pathOf(frames).slice(0, 5).join("."),
        message: "This is nested too deep.",
      });
      continue;
    }
    frames.push(frameOf(value));
  }
  return problems;
}

const notText = (path: readonly string[]): Problem => ({
  code: "not-text",
  path: path.join("."),
  message: "This has half a character in it, or one that no text has. Type it again.",
});

const [QUOTE, BACKSLASH, COMMA, BRACKET, BRACE] = [0x22, 0x5c, 0x2c, 0x5b, 0x7b];

/** How many values a text of JSON has, about: its commas and its openings, but for those within texts. */
export function valuesIn(json: Uint8Array, most: number): number {
  let values = 1;
  let inText = false;
  for (let place = 0; place < json.length && values <= most; place += 1) {
    const byte = json[place];
    if (inText && byte === BACKSLASH) place += 1;
    else if (byte === QUOTE) inText = !inText;
    else if (!inText && (byte === COMMA || byte === BRACKET || byte === BRACE)) values += 1;
  }
  return values;
}

/**
 * Throws 413 for a text of so many values that reading it, and saying of each what is wrong with it, would take all the memory: a few
 * megabytes of ones and commas are gigabytes once they are read.
 */
export function requireFewValues(json: Uint8Array, most: number): void {
  if (valuesIn(json, most) <= most) return;
  throw new HttpProblem(413, { detail: `At most ${most.toLocaleString("en")} values can be sent at once.` });
}

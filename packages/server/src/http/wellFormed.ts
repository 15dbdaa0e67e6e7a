import type { Problem } from "@wide-porch/core";

/** More levels than any record has. */
const DEEPEST = 60;

type Place = { readonly value: unknown; readonly path: readonly string[] };

const NULL_BYTE = "\u0000";
/** With the `u` flag only halves that have lost their other one are seen. */
const HALF_A_CHARACTER = /\p{Surrogate}/u;
const isWellFormed = (text: string): boolean => !HALF_A_CHARACTER.test(text) && !text.includes(NULL_BYTE);

/**
 * What in a body is no text that can be stored: half a character of two, as where an emoji was cut through, or a null byte.
 * Every value and every name of a field is looked at, before any schema is.
 */
export function textProblems(body: unknown): Problem[] {
  const problems: Problem[] = [];
  const open: Place[] = [{ value: body, path: [] }];
  for (let place = open.pop(); place && problems.length < 20; place = open.pop()) {
    const { value, path } = place;
    if (typeof value === "string" && !isWellFormed(value)) problems.push(notText(path));
    if (typeof value !== "object" || value === null || ArrayBuffer.isView(value)) continue;
    if (path.length >= DEEPEST) {
      problems.push({ code: "too-deep", path: path.slice(0, 5).join("."), message: "This is nested too deep." });
      continue;
    }
    for (const [key, inner] of Object.entries(value)) {
      if (!isWellFormed(key)) problems.push(notText([...path, "(name of a field)"]));
      open.push({ value: inner, path: [...path, key] });
    }
  }
  return problems;
}

const notText = (path: readonly string[]): Problem => ({
  code: "not-text",
  path: path.join("."),
  message: "This has half a character in it, or one that no text has. Type it again.",
});

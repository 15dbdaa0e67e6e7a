// Fowler, Noll and Vo's hash of 32 bits (FNV-1a), as published in RFC 9923.
const OFFSET = 0x811c9dc5;
const PRIME = 0x01000193;

function words(value: unknown): string {
  if (typeof value === "number") return `${Number(value.toPrecision(7))};`;
  if (typeof value !== "object" || value === null) return `${typeof value} ${String(value)};`;
  const inner = Object.entries(value).filter(([, each]) => typeof each !== "function");
  return `(${inner.map(([key, each]) => `${key}:${words(each)}`).join("")})`;
}

/** A mark of eight letters for a value: the same for what is the same, to seven figures of every number. */
export function markOf(value: unknown): string {
  const text = words(value);
  let hash = OFFSET;
  for (let index = 0; index < text.length; index += 1) hash = Math.imul(hash ^ text.charCodeAt(index), PRIME) >>> 0;
  return hash.toString(16).padStart(8, "0");
}

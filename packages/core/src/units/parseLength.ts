import { type Parsed, parsed, refused } from "../problems/problem";
import { readEntry, roundToWhole } from "./entryReader";
import type { MeasuringSystem, Nanometres } from "./length";

/** Past this an entry cannot be kept as whole nanometres; no house is a thousandth of it. */
const LARGEST_NM = Number.MAX_SAFE_INTEGER;

/**
 * Reads a length as a builder types it, with arithmetic, in either system whatever the job's own:
 * `12'6 1/2`, `12-6-1/2`, `150"`, `3.81m`, `16'4 - 3 1/2`, `2 × (3'4 + 6)`.
 *
 * A bare figure is inches in an imperial job and millimetres in a metric one. The result may be zero or negative;
 * the field decides what it allows. A fraction of a nanometre is rounded half away from zero.
 */
export function parseLength(text: string, system: MeasuringSystem): Parsed<Nanometres> {
  const entry = readEntry(text, "length", system);
  if (!entry.ok) return entry;
  const valueNm = roundToWhole(entry.value);
  if (Math.abs(valueNm) > LARGEST_NM) return refused("too-large", "This is longer than any building.");
  return parsed(valueNm);
}

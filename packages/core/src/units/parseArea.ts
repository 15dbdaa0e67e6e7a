import { type Parsed, parsed, refused } from "../problems/problem";
import type { SquareMetres } from "./area";
import { readEntry } from "./entryReader";
import { type MeasuringSystem, NM_PER_M } from "./length";

/** A square of a hundred kilometres: past any building and its ground. */
const LARGEST_M2 = 1e10;

/**
 * Reads an area as a builder types it, in either system: `12 sq ft`, `3.5 m2`, `2'6 × 4'`, `3 × 1.2m × 900mm`.
 * A bare figure is square feet in an imperial job and square metres in a metric one. The result may be zero or negative.
 */
export function parseArea(text: string, system: MeasuringSystem): Parsed<SquareMetres> {
  const entry = readEntry(text, "area", system);
  if (!entry.ok) return entry;
  const area = entry.value.div(NM_PER_M).div(NM_PER_M).valueOf();
  if (Math.abs(area) > LARGEST_M2) return refused("too-large", "This is larger than any building.");
  return parsed(area);
}

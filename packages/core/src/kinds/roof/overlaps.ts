import { polygonArea, signedArea, union } from "../../geometry";
import { type Problem, problem } from "../../problems/problem";
import { formatArea, formatLength, type MeasuringSystem, NM_PER_MM } from "../../units";
import { formOf, type RoofForm } from "./form";
import { edgeName } from "./outline";
import type { Roof } from "./schema";

/** Slivers of rounding are no overlap. */
const LEAST_M2 = 0.02;

const known = new WeakMap<RoofForm, number>();

/** How much of the slopes lies over others on plan: overhangs from both sides of a narrow yard. Square metres. */
function overlapOf(form: RoofForm): number {
  const before = known.get(form);
  if (before !== undefined) return before;
  const outlines = form.faces
    .filter(({ dormerId }) => dormerId === undefined)
    .map(({ sides }) =>
      sides.map(({ from: [x, y] }) => ({ xNm: Math.round(x * NM_PER_MM), yNm: Math.round(y * NM_PER_MM) })),
    );
  const whole = outlines.reduce((sum, outline) => sum + polygonArea(outline), 0);
  // A yard within the union turns the other way, and takes itself off.
  const covered = union(outlines).reduce((sum, ring) => sum + signedArea(ring), 0);
  const overlap = Math.max(0, whole - covered);
  known.set(form, overlap);
  return overlap;
}

/** Overhangs that come over other slopes, across a narrow yard or over a lower wing: told, as that much is counted twice. */
export function overhangsMeet(roof: Roof, system: MeasuringSystem): Problem[] {
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const overlap = overlapOf(formed.form);
  if (overlap < LEAST_M2) return [];
  const message = `Overhangs lie over other slopes: ${formatArea(overlap, system)} is counted twice. Make them less there, or take it off by hand.`;
  return [problem("overhangs-meet", "overhang", message)];
}

/** Heights above the top of the roof change nothing: said, as whoever typed one thinks that it does. */
export function unreachedHeights(roof: Roof, system: MeasuringSystem): Problem[] {
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const topNm = Math.round(formed.form.highestMm * NM_PER_MM);
  const top = formatLength(topNm, system);
  const over = (nm: number | null): boolean => nm !== null && nm >= topNm;
  const say = (path: string, what: string) =>
    problem("above-top", path, `${what} is above the top of the roof, ${top}: it changes nothing.`);
  return [
    ...(over(roof.breakHeight.valueNm) ? [say("breakHeight", "The height at which the pitch changes")] : []),
    ...(formed.form.flatAreaM2 === 0 && over(roof.flatHeight.valueNm)
      ? [say("flatHeight", "The height of the flat")]
      : []),
    ...roof.edges
      .filter(({ end, hipFrom, hipWidth }) => end === "half-hip" && hipWidth.valueNm === null && over(hipFrom.valueNm))
      .map(({ id }) => say(`edges.${id}.hipFrom`, `${edgeName(roof, id)}: the height from which it slopes`)),
  ];
}

import type { XY } from "../../../geometry/skeleton";
import { type Problem, problem } from "../../../problems/problem";
import { NM_PER_MM } from "../../../units";
import { formOf } from "../form";
import type { PlacedFeature } from "../formTypes";
import { edgeName, outlineOfRoof } from "../outline";
import type { Roof } from "../schema";
import { placeFeature, wholeFeatures } from "./place";

/** Where the edges of an outline begin on plan: their left ends, seen from outside. Millimetres. */
export function edgeStarts(roof: Roof): ReadonlyMap<string, XY> {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return new Map();
  return new Map(
    outline.edges.map(({ edge, from }): [string, XY] => [edge.id, [from.xNm / NM_PER_MM, from.yNm / NM_PER_MM]]),
  );
}

const MESSAGES = {
  "no-slope": (name: string, edge: string) => `${name}: there is no slope over ${edge}. It goes over an eave.`,
  "past-slope": (name: string, edge: string) =>
    `${name} does not fit in the slope over ${edge}: it goes past a ridge, a hip, a valley or the slope's end.`,
  "too-steep": (name: string) => `${name}: its slope has to be flatter than the roof's, or the two never meet.`,
} as const;

const meet = (a: PlacedFeature, b: PlacedFeature): boolean =>
  a.face === b.face && a.fromU < b.toU && b.fromU < a.toU && a.fromD < b.toD && b.fromD < a.toD;

/** Features that cannot be where their figures put them, and pairs that lie over each other. */
export function featureProblems(roof: Roof): Problem[] {
  if (roof.features.length === 0) return [];
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const starts = edgeStarts(roof);
  const placed: PlacedFeature[] = [];
  const misplaced = wholeFeatures(roof).flatMap((feature): Problem[] => {
    const found = placeFeature(feature, formed.form, starts);
    if (found.ok) {
      placed.push(found.placed);
      return [];
    }
    const path = `features.${feature.id}.${found.why === "too-steep" ? "pitch" : "along"}`;
    return [problem(found.why, path, MESSAGES[found.why](feature.name, edgeName(roof, feature.edgeId)))];
  });
  const over = placed.flatMap((a, index) =>
    placed
      .slice(index + 1)
      .filter((b) => meet(a, b))
      .map((b) => {
        const message = `${a.feature.name} and ${b.feature.name} lie over each other.`;
        return problem("features-meet", `features.${b.feature.id}.along`, message);
      }),
  );
  return [...misplaced, ...over];
}

import { isStorey, type Part } from "@wide-porch/core";
import type { Href } from "expo-router";

/** Where a point is settled: at its figure, on its part, or on the plan. */
export function hrefOfPoint(jobId: string, parts: readonly Part[], partId: string, path: string): Href {
  const part = parts.find((each) => each.id === partId);
  const onPlan = (part !== undefined && isStorey(part)) || path === "place" || path.startsWith("overlap/");
  const measure = `/jobs/${jobId}/measure`;
  if (part && onPlan) return `${measure}/plan?storey=${encodeURIComponent(part.storey)}` as Href;
  return `${measure}/${partId}?figure=${encodeURIComponent(path)}` as Href;
}

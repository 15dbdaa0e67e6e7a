import { alikePoints, type OpenPoint, type PartPoint, type PointGroup, planPoints } from "@wide-porch/core";
import { useMemo } from "react";
import { useJobLater } from "./useJobLater";

type Listed = { readonly partId: string; readonly partName: string; readonly points: readonly OpenPoint[] };

type Open = {
  /** Missing, refused, at odds: each is settled by itself, at its part. */
  readonly parts: readonly Listed[];
  readonly assumed: readonly PointGroup[];
  readonly warnings: readonly string[];
  /** Not known before the job is reckoned. */
  readonly total: number | undefined;
};

/** All that is open in the job: at its parts, on the plan, in the order. */
export function useOpenPoints(): Open {
  const { reckoning, parts: entered, plan, context } = useJobLater("reckoning", "parts", "plan", "context");
  const onPlan = useMemo(() => planPoints(entered, plan, context), [entered, plan, context]);
  return useMemo(() => {
    const all = (reckoning?.counts ?? []).map(({ partId, partName, openPoints }) => {
      const own = onPlan.filter((each) => each.partId === partId).map((each) => each.point);
      // A wall that waits for the plan says why in the plan's words.
      const paths = new Set(own.map((point) => point.path));
      return { partId, partName, points: [...own, ...openPoints.filter((point) => !paths.has(point.path))] };
    });
    const parts = all
      .map((each) => ({ ...each, points: each.points.filter((point) => point.kind !== "assumed") }))
      .filter((each) => each.points.length > 0);
    const ofParts = all.flatMap(({ points, ...part }) =>
      points.filter((point) => point.kind === "assumed").map((point): PartPoint => ({ ...part, point })),
    );
    const assumed = alikePoints(ofParts, (id) => entered.find((part) => part.id === id), context);
    // What keeps a part or a rule from being counted is said at its part already.
    const said = new Set(all.flatMap((each) => each.points.map((point) => point.message)));
    const fromCounts = (reckoning?.counts ?? []).flatMap((count) => count.problems.map((each) => each.message));
    const fromOrder = reckoning?.buildUp?.problems ?? reckoning?.order.problems ?? [];
    const warnings = [...new Set([...fromCounts, ...fromOrder.map((each) => each.message)])].filter(
      (message) => !said.has(message),
    );
    const listed = warnings.length + assumed.length + parts.reduce((sum, each) => sum + each.points.length, 0);
    return { parts, assumed, warnings, total: reckoning && listed };
  }, [reckoning, onPlan, entered, context]);
}

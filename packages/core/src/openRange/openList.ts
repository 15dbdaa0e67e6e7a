import type { PartCount } from "../count";
import type { OpenPoint, Part, PartContext } from "../kinds";
import { type JobPlan, planPoints } from "../plan";
import { alikePoints, type PartPoint, type PointGroup } from "./alike";

type Listed = { readonly partId: string; readonly partName: string; readonly points: readonly OpenPoint[] };

/** All that is open in a job, as it is listed: every screen and the quote say how many there are by this one list. */
export type OpenList = {
  /** Missing, refused, at odds: each is settled by itself, at its part. */
  readonly parts: readonly Listed[];
  /** Alike points of many parts are one to settle. */
  readonly assumed: readonly PointGroup[];
  readonly warnings: readonly string[];
  /** How many lines the list has. */
  readonly total: number;
};

type Given = {
  readonly parts: readonly Part[];
  readonly plan: JobPlan;
  readonly context: PartContext;
  readonly counts: readonly PartCount[];
  /** What ordering and pricing have to say. */
  readonly problems: readonly { readonly message: string }[];
};

export function openListOf({ parts: entered, plan, context, counts, problems }: Given): OpenList {
  const onPlan = planPoints(entered, plan, context);
  const byId = new Map(entered.map((part) => [part.id, part]));
  const all = counts.map(({ partId, partName, openPoints }) => {
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
  const assumed = alikePoints(ofParts, (id) => byId.get(id), context);
  // What keeps a part or a rule from being counted is said at its part already.
  const said = new Set(all.flatMap((each) => each.points.map((point) => point.message)));
  const told = [...counts.flatMap((count) => count.problems), ...problems].map(({ message }) => message);
  const warnings = [...new Set(told)].filter((message) => !said.has(message));
  const total = warnings.length + assumed.length + parts.reduce((sum, each) => sum + each.points.length, 0);
  return { parts, assumed, warnings, total };
}

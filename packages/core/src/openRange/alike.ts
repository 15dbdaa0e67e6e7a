import { canBeConfirmed, type OpenPoint, type Part, type PartContext } from "../kinds";

/** An open point of one part. */
export type PartPoint = { readonly partId: string; readonly partName: string; readonly point: OpenPoint };

/** Points of many parts that say the same: one to settle. */
export type PointGroup = {
  readonly message: string;
  readonly points: readonly PartPoint[];
  /** Whether all of them can be confirmed as they stand. */
  readonly confirmable: boolean;
};

/** Assumed points by what they say, in the order they come; `partOf` finds the part a point is of. */
export function alikePoints(
  points: readonly PartPoint[],
  partOf: (id: string) => Part | undefined,
  context: PartContext,
): PointGroup[] {
  const groups = new Map<string, PartPoint[]>();
  for (const each of points) {
    const key = each.point.alike ?? each.point.message;
    const group = groups.get(key);
    if (group) group.push(each);
    else groups.set(key, [each]);
  }
  return [...groups].map(([alike, members]) => {
    const [first] = members;
    const message = members.length === 1 && first ? first.point.message : alike;
    const confirmable = members.every(({ partId, point }) => {
      const part = partOf(partId);
      return part !== undefined && canBeConfirmed(part, point.path, context);
    });
    return { message, points: members, confirmable };
  });
}

/** `House wall; Hall, Wall B; 2 more`. */
export function partsText(points: readonly PartPoint[]): string {
  const names = [...new Set(points.map((each) => each.partName))];
  const [first = "", second] = names;
  if (names.length <= 1) return points.length === 1 ? first : `${first}, ${points.length} times`;
  // Names of walls have commas in them.
  return names.length === 2 ? `${first}; ${second}` : `${first}; ${second}; ${names.length - 2} more`;
}

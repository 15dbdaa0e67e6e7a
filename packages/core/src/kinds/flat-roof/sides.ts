import type { JoistEdge } from "../../joists/schema";
import { joistShape, runsWithJoists } from "../../joists/shape";
import type { FlatRoof } from "./schema";

/** Whether a side is open, with what it hangs over by; the others are against a wall. */
export const isOpen = ({ overhang }: JoistEdge): boolean => overhang !== undefined;

/** The side that water runs to: as somebody said; else the first open one that joists end on, else any open one. */
export function lowSide(roof: FlatRoof): JoistEdge | undefined {
  const said = roof.edges.find(({ id }) => id === roof.fallsTo);
  if (said) return said;
  const ends = (joistShape(roof)?.edges ?? []).filter((line) => !runsWithJoists(line)).map(({ edge }) => edge.id);
  const open = roof.edges.filter(isOpen);
  return open.find(({ id }) => ends.includes(id)) ?? open[0];
}

const idsOf = (edges: readonly JoistEdge[]): string[] => edges.map(({ id }) => id);

/** Sides with a fascia: the open ones, where nobody said. */
export const fasciaSides = ({ fasciaOn, edges }: FlatRoof): readonly string[] =>
  fasciaOn ?? idsOf(edges.filter(isOpen));

/** Sides with a gutter: where the water runs to, where nobody said; none against a wall. */
export function gutterSides(roof: FlatRoof): readonly string[] {
  if (roof.gutterOn) return roof.gutterOn;
  const low = lowSide(roof);
  return low && isOpen(low) ? [low.id] : [];
}

import type { JoistEdge } from "../../joists/schema";
import { joistShape, runsWithJoists } from "../../joists/shape";
import { assumedDimension } from "../../parts/dimension";
import { inches, type MeasuringSystem, millimetres } from "../../units";
import type { FlatRoof } from "./schema";

/** What hangs over an open side where nobody measured it: common practice. */
export const usualOverhang = (system: MeasuringSystem) =>
  assumedDimension(system === "imperial" ? inches(12) : millimetres(300));

/** Whether a side is open, with what it hangs over by; the others are against a wall. */
export const isOpen = ({ overhang }: JoistEdge): boolean => overhang !== undefined;

/** With a side opened, or put against a wall: there its overhang goes, and its fascia and its gutter with it. */
export function withSide(roof: FlatRoof, id: string, open: boolean, system: MeasuringSystem): FlatRoof {
  const without = (ids: readonly string[] | null) =>
    ids && !open ? ids.filter((each) => each !== id) : ids && [...ids];
  const edges = roof.edges.map((edge) => {
    if (edge.id !== id) return edge;
    const { overhang = usualOverhang(system), ...wall } = edge;
    return open ? { ...wall, bears: "free" as const, overhang } : { ...wall, bears: null };
  });
  return { ...roof, edges, fasciaOn: without(roof.fasciaOn), gutterOn: without(roof.gutterOn) };
}

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

import { type Chord, chordsOf, slantOf } from "../../joists/chords";
import { isUnborne } from "../../joists/shape";
import { feet, type Nanometres } from "../../units";
import { type FloorPlan, type LaidOpening, takenByEdge } from "./floorPlan";

/** Header of one joist up to 4 ft, trimmers single within 3 ft of their bearing, hangers past 6 ft, tails tied past 12 ft: IRC R502.10 (from memory). */
export const SINGLE_HEADER_NM = feet(4);
export const SINGLE_TRIMMER_NM = feet(3);
export const HEADER_HANGERS_NM = feet(6);
export const LOOSE_TAIL_NM = feet(12);

/** A header at one end of an opening: its face towards the opening, which way it lies from there, and of how many plies. */
export type Header = { readonly side: "near" | "far"; readonly faceNm: Nanometres; readonly plies: 1 | 2 };

/** The stretch of joists that an opening lies in, between the faces that its edges leave. */
export function bayAt(
  plan: FloorPlan,
  { area }: LaidOpening,
): (Chord & { readonly bearsNm: readonly Nanometres[] }) | undefined {
  const middle = (Math.max(area.v0, plan.reach.v0) + Math.min(area.v1, plan.reach.v1)) / 2;
  const chord = chordsOf(plan.shape.edges, middle - 1000, middle + 1000).find(
    ({ from, to }) => from < area.u1 && to > area.u0,
  );
  if (!chord) return undefined;
  // What of a joist goes into a wall is no room for a header.
  const taken = (edge: Chord["start"]) => Math.round(Math.max(0, takenByEdge(edge, plan)) * slantOf(edge));
  const [from, to] = [chord.from + taken(chord.start), chord.to - taken(chord.end)];
  const ends = [
    ...(isUnborne(chord.start.edge, plan.choices) ? [] : [from]),
    ...(isUnborne(chord.end.edge, plan.choices) ? [] : [to]),
  ];
  const within = plan.supports.map(({ u }) => u).filter((u) => u > from && u < to);
  return { ...chord, from, to, bearsNm: [...ends, ...within].toSorted((a, b) => a - b) };
}

function pliesOf({ opening, area }: LaidOpening): 1 | 2 {
  if (opening.headers !== "by-rule") return opening.headers === "double" ? 2 : 1;
  return area.v1 - area.v0 > SINGLE_HEADER_NM ? 2 : 1;
}

/** The headers of an opening; none at a side that lies at the edge, where the rim or the wall ends the joists. */
export function headersOf(plan: FloorPlan, laid: LaidOpening): Header[] {
  const bay = bayAt(plan, laid);
  if (!bay) return [];
  const plies = pliesOf(laid);
  const thick = plies * plan.joist.thicknessNm;
  const near = laid.area.u0 - thick >= bay.from ? [{ side: "near" as const, faceNm: laid.area.u0, plies }] : [];
  const far = laid.area.u1 + thick <= bay.to ? [{ side: "far" as const, faceNm: laid.area.u1, plies }] : [];
  return [...near, ...far];
}

/** Trimmers are doubled where a header is, or where one stands further from the bearing than the rule has it. */
export function isDoubledTrimmer(plan: FloorPlan, laid: LaidOpening): boolean {
  const bay = bayAt(plan, laid);
  const headers = headersOf(plan, laid);
  if (!bay || headers.length === 0) return false;
  if (headers.some(({ plies }) => plies === 2)) return true;
  return headers.some(({ faceNm }) => {
    const nearest = Math.min(...bay.bearsNm.map((at) => Math.abs(at - faceNm)));
    return nearest > SINGLE_TRIMMER_NM;
  });
}

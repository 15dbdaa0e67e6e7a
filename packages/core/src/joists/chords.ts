import type { Nanometres } from "../units";
import type { JoistEdgeUV, UV } from "./shape";

/** A stretch along the joists. */
export type Span = { readonly from: Nanometres; readonly to: Nanometres };

/** A stretch across the whole outline with the edges that it runs between. */
export type Chord = Span & { readonly start: JoistEdgeUV; readonly end: JoistEdgeUV };

type Crossing = { readonly u: number; readonly edge: JoistEdgeUV };

function crossingsAt(edges: readonly JoistEdgeUV[], v: number): Crossing[] {
  return edges
    .flatMap((edge): Crossing[] => {
      const { from, to } = edge;
      if (from.v > v === to.v > v) return [];
      return [{ u: from.u + ((to.u - from.u) * (v - from.v)) / (to.v - from.v), edge }];
    })
    .toSorted((a, b) => a.u - b.u);
}

function chordsAt(edges: readonly JoistEdgeUV[], v: number): Chord[] {
  const crossings = crossingsAt(edges, v);
  const chords: Chord[] = [];
  for (let index = 0; index + 1 < crossings.length; index += 2) {
    const [a, b] = [crossings[index], crossings[index + 1]];
    if (a && b && b.u > a.u) chords.push({ from: Math.round(a.u), to: Math.round(b.u), start: a.edge, end: b.edge });
  }
  return chords;
}

/** Just within the faces of a joist, so that a face that lies on an edge is inside. */
const WITHIN_NM = 1000;

/** What of the outline a joist between two faces lies in, each stretch to its long point. */
export function chordsOf(edges: readonly JoistEdgeUV[], v0: Nanometres, v1: Nanometres): Chord[] {
  const levels = [v0 + WITHIN_NM, (v0 + v1) / 2, v1 - WITHIN_NM];
  const found = levels.flatMap((v) => chordsAt(edges, v)).toSorted((a, b) => a.from - b.from);
  const joined: Chord[] = [];
  for (const chord of found) {
    const last = joined[joined.length - 1];
    if (!last || chord.from >= last.to) joined.push(chord);
    else if (chord.to > last.to) joined[joined.length - 1] = { ...last, to: chord.to, end: chord.end };
  }
  return joined;
}

/** What of the outline lies across the joists between two places along them, each stretch to its long point. */
export function acrossBand(edges: readonly JoistEdgeUV[], u0: Nanometres, u1: Nanometres): Span[] {
  // The same outline seen the other way round: along what was across.
  const turned = edges.map(({ edge, from, to }) => ({
    edge,
    from: { u: to.v, v: to.u },
    to: { u: from.v, v: from.u },
  }));
  return chordsOf(turned, u0, u1).map(({ from, to }) => ({ from, to }));
}

/** Stretches without what others take of them. */
export function withoutSpans(spans: readonly Span[], taken: readonly Span[]): Span[] {
  return taken.reduce<Span[]>(
    (left, cut) =>
      left.flatMap(({ from, to }): Span[] => {
        if (cut.to <= from || cut.from >= to) return [{ from, to }];
        const before = cut.from > from ? [{ from, to: cut.from }] : [];
        const after = cut.to < to ? [{ from: cut.to, to }] : [];
        return [...before, ...after];
      }),
    [...spans],
  );
}

/** How much longer than its run along the joists something is that is so thick across an edge: 1 for a square one. */
export function slantOf({ from, to }: { readonly from: UV; readonly to: UV }): number {
  const long = Math.hypot(to.u - from.u, to.v - from.v);
  const square = Math.abs(to.v - from.v);
  return square === 0 ? 1 : long / square;
}

import { type Chord, chordsOf, type Span } from "../../joists/chords";
import { layoutLines } from "../../joists/lines";
import type { Area, JoistEdgeUV } from "../../joists/shape";
import { bearingOf, overhangOf, runsWithJoists } from "../../joists/shape";
import type { Nanometres } from "../../units";
import type { FloorPlan, LaidOpening } from "./floorPlan";
import { isDoubledTrimmer } from "./headers";

export type StripRole = "joist" | "edge-joist" | "doubled-joist" | "trimmer-joist";

/** One joist across the outline before it is cut: its two faces, and what of the outline it lies in. */
export type Strip = {
  readonly id: string;
  readonly role: StripRole;
  readonly v0: Nanometres;
  readonly v1: Nanometres;
  readonly chords: readonly Chord[];
  /** Of one at an edge, the stretch of that edge: past its end it is a joist like any other. */
  readonly along?: Span;
};

/** A joist of the layout that was too near to another, and what became of it. */
export type CloseJoist = { readonly gapNm: Nanometres; readonly how: "move" | "merge" };

export type Strips = { readonly strips: readonly Strip[]; readonly close: readonly CloseJoist[] };

const stripOf = (
  id: string,
  role: StripRole,
  v0: Nanometres,
  v1: Nanometres,
  edges: readonly JoistEdgeUV[],
): Strip => ({
  id,
  role,
  v0,
  v1,
  chords: chordsOf(edges, v0, v1),
});

const share = (a: readonly Chord[], b: readonly Chord[]): boolean =>
  a.some((one) => b.some((other) => one.from < other.to && other.from < one.to));
const overlap = (a: Strip, b: Strip): boolean => a.v0 < b.v1 && b.v0 < a.v1 && share(a.chords, b.chords);

/** Along each edge that runs with the joists: against it, or clear of the wall that stands there. */
function alongEdges({ shape, choices, joist }: FloorPlan): Strip[] {
  return shape.edges.filter(runsWithJoists).map((line): Strip => {
    const beside = ["built-in", "hangers"].includes(bearingOf(line.edge, choices)) ? choices.wallGap : 0;
    // Against the clock the inside lies to the left: above an edge that runs on along the joists.
    const inside = line.to.u > line.from.u ? 1 : -1;
    const near = line.from.v + inside * Math.max(beside, overhangOf(line.edge));
    const far = near + inside * joist.thicknessNm;
    const strip = stripOf(`edge-${line.edge.id}`, "edge-joist", Math.min(near, far), Math.max(near, far), shape.edges);
    return { ...strip, along: { from: Math.min(line.from.u, line.to.u), to: Math.max(line.from.u, line.to.u) } };
  });
}

function besideOpening(plan: FloorPlan, laid: LaidOpening): Strip[] {
  const t = plan.joist.thicknessNm;
  const plies = isDoubledTrimmer(plan, laid) ? 2 : 1;
  const { area, opening } = laid;
  const side = (name: string, face: Nanometres, out: 1 | -1): Strip[] =>
    Array.from({ length: plies }, (_, ply) => {
      const [near, far] = [face + out * ply * t, face + out * (ply + 1) * t];
      const id = `trimmer-${opening.id}-${name}${ply + 1}`;
      return stripOf(id, "trimmer-joist", Math.min(near, far), Math.max(near, far), plan.shape.edges);
    }).filter(({ chords }) => reaches(chords, area));
  return [...side("a", area.v0, -1), ...side("b", area.v1, 1)];
}

/** Of a trimmer beside an arm of the outline only what passes its opening is one; a side without any lies on an edge. */
const reaches = (chords: readonly Chord[], { u0, u1 }: Area): boolean =>
  chords.some(({ from, to }) => from < u1 && to > u0);

function underWalls({ doubledAt, joist, shape }: FloorPlan): Strip[] {
  const t = joist.thicknessNm;
  return doubledAt.flatMap(({ id, v }) => [
    stripOf(`doubled-${id}-1`, "doubled-joist", v - t, v, shape.edges),
    stripOf(`doubled-${id}-2`, "doubled-joist", v, v + t, shape.edges),
  ]);
}

/** Those whose place nothing decides but an edge, an opening, a wall. One that would lie in an earlier one is that one. */
function placedFirst(plan: FloorPlan): Strip[] {
  const asked = [
    ...alongEdges(plan),
    ...plan.openings.flatMap((laid) => besideOpening(plan, laid)),
    ...underWalls(plan),
  ];
  const kept: Strip[] = [];
  for (const strip of asked)
    if (strip.chords.length > 0 && !kept.some((each) => overlap(each, strip))) kept.push(strip);
  return kept;
}

type Run = { readonly v0: Nanometres; readonly v1: Nanometres; readonly chords: readonly Chord[] };

/** Joists that stand against each other, as one. */
function runsOf(strips: readonly Strip[]): Run[] {
  const runs: Run[] = [];
  for (const { v0, v1, chords } of strips.toSorted((a, b) => a.v0 - b.v0)) {
    const index = runs.findIndex((run) => run.v1 === v0 && share(run.chords, chords));
    const before = runs[index];
    if (before) runs[index] = { v0: before.v0, v1, chords: [...before.chords, ...chords] };
    else runs.push({ v0, v1, chords });
  }
  return runs;
}

/** Every joist across the outline: those at edges, openings and walls, and the layout between them. */
export function layStrips(plan: FloorPlan): Strips {
  const { choices, joist, shape } = plan;
  const first = placedFirst(plan);
  const runs = runsOf(first);
  const ladders = ladderBands(plan);
  const half = Math.floor(joist.thicknessNm / 2);
  const close: CloseJoist[] = [];
  const lines = layoutLines(plan.part, choices, plan.bay).flatMap((middle, index): Strip[] => {
    let [v0, v1] = [middle - half, middle - half + joist.thicknessNm];
    const own = chordsOf(shape.edges, v0, v1);
    let left: readonly Chord[] = withoutChords(
      own,
      ladders.filter((each) => v0 < each.v1 && v1 > each.v0).map(({ span }) => span),
    );
    for (const run of runs.filter(({ chords }) => share(chords, own))) {
      const gapNm = Math.max(run.v0 - v1, v0 - run.v1);
      const isIt = middle >= run.v0 && middle <= run.v1;
      // Against what it touches nothing is to be done.
      if (!isIt && (gapNm === 0 || gapNm >= choices.hammerRoom)) continue;
      const isClose = !isIt && gapNm > 0;
      if (isClose) close.push({ gapNm, how: choices.closeJoists });
      if (isIt || (isClose && choices.closeJoists === "merge")) left = withoutChords(left, run.chords);
      else {
        // Away from the other, so that the gap on its far side grows no wider than the spacing.
        const clear = isClose ? choices.hammerRoom : 0;
        v0 = middle < run.v0 ? run.v0 - clear - joist.thicknessNm : run.v1 + clear;
        v1 = v0 + joist.thicknessNm;
      }
    }
    const moved = v0 !== middle - half;
    const chords = moved ? chordsOf(shape.edges, v0, v1) : left;
    const strip: Strip = { id: `line-${index + 1}`, role: "joist", v0, v1, chords };
    // One that was moved into yet another is that one.
    if (chords.length === 0 || (moved && first.some((each) => overlap(each, strip)))) return [];
    return [strip];
  });
  return { strips: [...first, ...lines].toSorted((a, b) => a.v0 - b.v0), close };
}

export type LadderBand = {
  readonly edgeId: string;
  readonly v0: Nanometres;
  readonly v1: Nanometres;
  readonly span: Span;
  /** Whether the outline lies above its edge, or below. */
  readonly inside: 1 | -1;
};

/** What hangs over beside the joists: a ladder carries it, and no joist of the layout lies in it. */
export const ladderBands = ({ shape }: FloorPlan): LadderBand[] =>
  shape.edges
    .filter((line) => runsWithJoists(line) && overhangOf(line.edge) > 0)
    .map(({ edge, from, to }) => {
      const inside = to.u > from.u ? 1 : -1;
      const v = from.v + inside * overhangOf(edge);
      const span = { from: Math.min(from.u, to.u), to: Math.max(from.u, to.u) };
      return { edgeId: edge.id, v0: Math.min(from.v, v), v1: Math.max(from.v, v), span, inside };
    });

/** A joist that goes on past the one that takes its place keeps what is left of it. */
function withoutChords(chords: readonly Chord[], taken: readonly Span[]): Chord[] {
  return taken.reduce<Chord[]>(
    (left, cut) =>
      left.flatMap((chord): Chord[] => {
        if (cut.to <= chord.from || cut.from >= chord.to) return [chord];
        const before = cut.from > chord.from ? [{ ...chord, to: cut.from }] : [];
        const after = cut.to < chord.to ? [{ ...chord, from: cut.to }] : [];
        return [...before, ...after];
      }),
    [...chords],
  );
}

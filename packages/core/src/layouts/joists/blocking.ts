import type { Piece } from "../../drawing/piece";
import { withoutSpans } from "../../joists/chords";
import { bearingOf, runsWithJoists } from "../../joists/shape";
import { feet, inches, metres, type Nanometres } from "../../units";
import type { CutJoist } from "./cutJoists";
import type { FloorPlan } from "./floorPlan";
import { cornersUV, levelStick, metalAt } from "./stick";

/** Deeper than 2 × 12, bridging at most 8 ft apart: IRC R502.7.1 (from memory). */
const BRIDGED_PAST_NM = inches(11.25);
const BRIDGES_APART_NM = feet(8);
/** Strutting: none to 2.5 m of span, one row to 4.5 m, two beyond: NHBC Standards 6.4 (from memory). */
const UNSTRUTTED_NM = metres(2.5);
const ONE_ROW_NM = metres(4.5);

const ROWS: Readonly<Record<string, number>> = { none: 0, one: 1, two: 2, three: 3 };

/** Rows of blocking or struts in a span. */
export function rowsIn(
  spanNm: Nanometres,
  { choices, joist, context }: Pick<FloorPlan, "choices" | "joist" | "context">,
): number {
  const chosen = ROWS[choices.blocking];
  if (chosen !== undefined) return chosen;
  if (context.system === "metric") return spanNm <= UNSTRUTTED_NM ? 0 : spanNm <= ONE_ROW_NM ? 1 : 2;
  return joist.depthNm > BRIDGED_PAST_NM ? Math.max(0, Math.ceil(spanNm / BRIDGES_APART_NM) - 1) : 0;
}

type Gap = { readonly v0: Nanometres; readonly v1: Nanometres; readonly from: Nanometres; readonly to: Nanometres };

/** Where two joists lie beside each other with a gap between, and nothing in it. */
function gapsOf(joists: readonly CutJoist[]): Gap[] {
  const ordered = joists.toSorted((a, b) => a.v0 - b.v0);
  return ordered.flatMap((left, index) => {
    const free: { from: Nanometres; to: Nanometres }[] = [{ from: left.u0, to: left.u1 }];
    const gaps: Gap[] = [];
    for (let next = index + 1; next < ordered.length && free.length > 0; next += 1) {
      const right = ordered[next];
      if (!right || right.v1 <= left.v1) continue;
      for (const span of [...free]) {
        const [from, to] = [Math.max(span.from, right.u0), Math.min(span.to, right.u1)];
        if (from >= to) continue;
        if (right.v0 > left.v1) gaps.push({ v0: left.v1, v1: right.v0, from, to });
        free.splice(free.indexOf(span), 1);
        if (from > span.from) free.push({ from: span.from, to: from });
        if (to < span.to) free.push({ from: to, to: span.to });
      }
    }
    return gaps;
  });
}

/** A gap without what openings take of it. */
function besideOpenings(gap: Gap, openings: FloorPlan["openings"]): Gap[] {
  const taking = openings.filter(({ area }) => gap.v0 < area.v1 && gap.v1 > area.v0);
  if (taking.length === 0) return [gap];
  const taken = taking.map(({ area }) => ({ from: area.u0, to: area.u1 }));
  return withoutSpans([gap], taken).map((span) => ({ ...gap, ...span }));
}

type Placed = { readonly u: Nanometres; readonly gap: Gap; readonly over: boolean };

function placesIn(plan: FloorPlan, gap: Gap): Placed[] {
  const below = plan.supports.filter(({ u }) => u > gap.from && u < gap.to);
  const ends = [gap.from, ...below.map(({ u }) => u), gap.to];
  const rows = ends.slice(1).flatMap((to, index) => {
    const from = ends[index] ?? gap.from;
    const count = rowsIn(to - from, plan);
    return Array.from({ length: count }, (_, row) => from + Math.round(((to - from) * (row + 1)) / (count + 1)));
  });
  const over = plan.choices.blockAtSupports ? below.filter(({ kind }) => kind !== "flush-beam").map(({ u }) => u) : [];
  return [...over.map((u) => ({ u, gap, over: true })), ...rows.map((u) => ({ u, gap, over: false }))];
}

/** Blocks or pairs of struts between joists: so many rows in each span, and over what carries them. */
export function blockingOf(plan: FloorPlan, joists: readonly CutJoist[]): Piece[] {
  const { joist, shape, choices, openings } = plan;
  const half = Math.floor(joist.thicknessNm / 2);
  return gapsOf(joists)
    .flatMap((gap) => besideOpenings(gap, openings))
    .flatMap((gap) => placesIn(plan, gap))
    .map(({ u, gap, over }, index): Piece => {
      const id = `block-${index + 1}`;
      // Over a wall the load goes down through it: struts would not take that.
      if (!over && choices.blockKind === "struts")
        return metalAt(id, "strut-pair", { u, v: Math.round((gap.v0 + gap.v1) / 2) }, shape, joist.depthNm);
      const corners = cornersUV({ u0: u - half, u1: u - half + joist.thicknessNm, v0: gap.v0, v1: gap.v1 });
      return levelStick({ id, role: "floor-block", section: joist, corners, cutLengthNm: gap.v1 - gap.v0 }, shape);
    });
}

/** Rows of noggings across a roof, so far apart at most; each goes across every gap of the bay. */
export function noggingsOf(plan: FloorPlan, joists: readonly CutJoist[]): Piece[] {
  const { choices, reach, shape, joist, openings } = plan;
  if (choices.noggingEvery === 0) return [];
  const long = reach.u1 - reach.u0;
  const rows = Math.max(0, Math.ceil(long / choices.noggingEvery) - 1);
  const half = Math.floor(joist.thicknessNm / 2);
  const places = Array.from({ length: rows }, (_, row) => reach.u0 + Math.round((long * (row + 1)) / (rows + 1)));
  return gapsOf(joists)
    .flatMap((gap) => besideOpenings(gap, openings))
    .flatMap((gap) => places.filter((u) => u > gap.from && u < gap.to).map((u) => ({ u, gap })))
    .map(({ u, gap }, index) => {
      const corners = cornersUV({ u0: u - half, u1: u - half + joist.thicknessNm, v0: gap.v0, v1: gap.v1 });
      const cutLengthNm = gap.v1 - gap.v0;
      return levelStick(
        { id: `nogging-${index + 1}`, role: "roof-nogging", section: joist, corners, cutLengthNm },
        shape,
      );
    });
}

/** Over so many joists a strap reaches, with a nogging in each gap under it. */
const STRAPPED = 3;

/** Straps along a wall that runs with the joists, at most a spacing apart, and the noggings under them. */
export function strapsOf(plan: FloorPlan, joists: readonly CutJoist[]): Piece[] {
  const { choices, shape, joist } = plan;
  if (choices.strapSpacing === 0) return [];
  const half = Math.floor(joist.thicknessNm / 2);
  return shape.edges
    .filter((line) => runsWithJoists(line) && ["built-in", "hangers"].includes(bearingOf(line.edge, choices)))
    .flatMap(({ edge, from, to }) => {
      const [start, end] = [Math.min(from.u, to.u), Math.max(from.u, to.u)];
      const count = Math.max(0, Math.ceil((end - start) / choices.strapSpacing) - 1);
      const inside = to.u > from.u ? 1 : -1;
      return Array.from(
        { length: count },
        (_, index) => start + Math.round(((end - start) * (index + 1)) / (count + 1)),
      ).flatMap((u, index): Piece[] => {
        const beside = joists
          .filter((each) => each.u0 < u && each.u1 > u && (each.v0 - from.v) * inside >= -joist.thicknessNm)
          .toSorted((a, b) => (a.v0 - b.v0) * inside)
          .slice(0, STRAPPED);
        const noggings = beside.slice(1).flatMap((each, gap): Piece[] => {
          const before = beside[gap];
          if (!before) return [];
          const [v0, v1] = inside === 1 ? [before.v1, each.v0] : [each.v1, before.v0];
          if (v1 <= v0) return [];
          const id = `nogging-${edge.id}-${index + 1}-${gap + 1}`;
          const corners = cornersUV({ u0: u - half, u1: u - half + joist.thicknessNm, v0, v1 });
          return [levelStick({ id, role: "strap-nogging", section: joist, corners, cutLengthNm: v1 - v0 }, shape)];
        });
        return [
          metalAt(`strap-${edge.id}-${index + 1}`, "wall-strap", { u, v: from.v }, shape, 5_000_000),
          ...noggings,
        ];
      });
    });
}

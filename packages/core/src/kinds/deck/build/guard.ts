import type { FramingPiece } from "../../../drawing/piece";
import { type Span, withoutSpans } from "../../../joists/chords";
import { type AlongEdge, alongEdge, type UV } from "../../../joists/shape";
import { type FloorPlan, levelStick } from "../../../layouts/joists";
import { type Section, sectionOf } from "../../../parts/section";
import { inches, type Nanometres } from "../../../units";
import type { DeckChoices } from "../choices";
import { movedRing } from "../outline";
import type { Deck } from "../schema";
import { guardSides } from "../sides";
import { type Flight, flightsOf } from "../stairs";

/** Beneath the bottom rail: common practice. */
export const UNDER_RAIL_NM = inches(2);

/** The timber a guard is of, and how high its pieces stand. */
export type GuardTimber = {
  readonly post: Section;
  readonly rail: Section;
  readonly baluster: Section;
  /** The top of the boards above that of the joists. */
  readonly boardsNm: Nanometres;
  readonly highNm: Nanometres;
  /** From the top of the guard down beside the rim. */
  readonly postNm: Nanometres;
};

export function guardTimber({ context, joist }: FloorPlan, choices: DeckChoices): GuardTimber {
  const of = (id: string) => sectionOf(context.sections, id);
  const boardsNm = of(choices.boardSection).thicknessNm;
  return {
    post: of(choices.guardPostSection),
    rail: of(choices.railSection),
    baluster: of(choices.balusterSection),
    boardsNm,
    highNm: choices.guardHigh,
    postNm: choices.guardHigh + boardsNm + joist.depthNm,
  };
}

/** How many balusters so thick leave gaps in a clear width through which a ball of that width does not pass. Arithmetic. */
export function balustersIn(clearNm: Nanometres, thickNm: Nanometres, ballNm: Nanometres): number {
  if (clearNm < ballNm) return 0;
  return Math.floor((clearNm - ballNm) / (thickNm + ballNm)) + 1;
}

/** Middles of so many of a thickness, evenly between two faces. */
export function evenly(count: number, clearNm: Nanometres, thickNm: Nanometres): Nanometres[] {
  const gap = (clearNm - count * thickNm) / (count + 1);
  return Array.from({ length: count }, (_, index) => Math.round((index + 1) * gap + (index + 0.5) * thickNm));
}

/** Where posts stand along a stretch: at both its ends, and evenly between no further apart than the most. */
export function postsAlong(lengthNm: Nanometres, mostNm: Nanometres): Nanometres[] {
  const gaps = Math.max(1, Math.ceil(lengthNm / mostNm - 1e-6));
  return Array.from({ length: gaps + 1 }, (_, index) => Math.round((lengthNm * index) / gaps));
}

/** Whether a post stands so near already that another would stand in it. */
export const stands = (posts: readonly UV[], { u, v }: UV, nearNm: Nanometres): boolean =>
  posts.some((each) => Math.hypot(each.u - u, each.v - v) < nearNm);

/** A post round a place of a line. */
export function postAt(
  id: string,
  role: string,
  at: Nanometres,
  line: AlongEdge,
  timber: GuardTimber,
  plan: FloorPlan,
) {
  const { post, postNm, boardsNm, highNm } = timber;
  const [along, out] = [post.thicknessNm / 2, post.depthNm / 2];
  const corners = [
    line.at(at - along, -out),
    line.at(at + along, -out),
    line.at(at + along, out),
    line.at(at - along, out),
  ];
  const own = { id, role, section: post, corners, cutLengthNm: postNm, topNm: boardsNm + highNm, deepNm: postNm };
  return levelStick(own, plan.shape);
}

type GuardLine = { readonly edgeId: string; readonly line: AlongEdge; readonly stretches: readonly Span[] };

/** Of a line in from the edge: what stairs leave of it, between posts beside them. */
function guardLines(plan: FloorPlan, deck: Deck, flights: readonly Flight[], choices: DeckChoices): GuardLine[] {
  const post = sectionOf(plan.context.sections, choices.guardPostSection);
  const half = Math.floor(post.depthNm / 2);
  const on = new Set(guardSides(deck, choices));
  const { edges } = plan.shape;
  const inset = movedRing(edges, "in", ({ id }) => (on.has(id) ? half : 0));
  return edges.flatMap((outer, index): GuardLine[] => {
    const own = inset[index];
    if (!own || !on.has(outer.edge.id)) return [];
    const [before, next] = [edges[(index || edges.length) - 1], edges[(index + 1) % edges.length]];
    const line = alongEdge(own);
    const longNm = alongEdge(outer).lengthNm;
    // How far its start lies along the edge.
    const [du, dv] =
      longNm === 0 ? [1, 0] : [(outer.to.u - outer.from.u) / longNm, (outer.to.v - outer.from.v) / longNm];
    const offNm = Math.round((own.from.u - outer.from.u) * du + (own.from.v - outer.from.v) * dv);
    // At a side without a guard a post stands within the deck; at a corner of two guarded ones it stands on both.
    const from = before && on.has(before.edge.id) ? 0 : half;
    const to = line.lengthNm - (next && on.has(next.edge.id) ? 0 : half);
    const gaps = flights
      .filter(({ stair }) => stair.edgeId === outer.edge.id)
      .map(({ side, alongNm, widthNm }): Span => {
        const start = (side.asWalked ? alongNm : longNm - alongNm - widthNm) - offNm;
        return { from: start - half, to: start + widthNm + half };
      });
    const stretches = to > from ? withoutSpans([{ from, to }], gaps) : [];
    return [{ edgeId: outer.edge.id, line, stretches }];
  });
}

type Bay = { readonly id: string; readonly line: AlongEdge; readonly from: Nanometres; readonly clearNm: Nanometres };

/** Two rails and the balusters between them, in one bay between posts. */
function bayPieces({ id, line, from, clearNm }: Bay, timber: GuardTimber, plan: FloorPlan, choices: DeckChoices) {
  const { rail, baluster, boardsNm, highNm } = timber;
  const across = (along0: Nanometres, along1: Nanometres, thickNm: Nanometres) => [
    line.at(along0, -thickNm / 2),
    line.at(along1, -thickNm / 2),
    line.at(along1, thickNm / 2),
    line.at(along0, thickNm / 2),
  ];
  const rails = [boardsNm + highNm, boardsNm + UNDER_RAIL_NM + rail.depthNm].map((topNm, index) =>
    levelStick(
      {
        id: `guard-rail-${id}-${index + 1}`,
        role: "guard-rail",
        section: rail,
        corners: across(from, from + clearNm, rail.thicknessNm),
        cutLengthNm: clearNm,
        topNm,
      },
      plan.shape,
    ),
  );
  const highBetween = Math.max(1, highNm - UNDER_RAIL_NM - 2 * rail.depthNm);
  const count = balustersIn(clearNm, baluster.thicknessNm, choices.balusterGap);
  const half = baluster.thicknessNm / 2;
  const balusters = evenly(count, clearNm, baluster.thicknessNm).map((at, index) =>
    levelStick(
      {
        id: `baluster-${id}-${index + 1}`,
        role: "baluster",
        section: baluster,
        corners: across(from + at - half, from + at + half, baluster.depthNm),
        cutLengthNm: highBetween,
        topNm: boardsNm + highNm - rail.depthNm,
        deepNm: highBetween,
      },
      plan.shape,
    ),
  );
  return [...rails, ...balusters];
}

export type LaidGuard = { readonly pieces: readonly FramingPiece[]; readonly posts: readonly UV[] };

/** Posts, rails and balusters along the sides with a guard, open where stairs go down. */
export function layGuard(plan: FloorPlan, deck: Deck, choices: DeckChoices): LaidGuard {
  const timber = guardTimber(plan, choices);
  const flights = flightsOf(deck, choices).filter(({ treads }) => treads > 0);
  const { post } = timber;
  const posts: UV[] = [];
  const pieces = guardLines(plan, deck, flights, choices).flatMap(({ edgeId, line, stretches }) =>
    stretches.flatMap((stretch, part): FramingPiece[] => {
      const long = stretch.to - stretch.from;
      // Less than two posts is one.
      const places = long <= post.depthNm ? [long / 2] : postsAlong(long, choices.guardPostSpacing);
      const at = places.map((place) => stretch.from + place);
      const id = `${edgeId}-${part + 1}`;
      const standing = at.flatMap((place, index) => {
        const where = line.at(place, 0);
        if (stands(posts, where, post.depthNm)) return [];
        posts.push(where);
        return [postAt(`guard-post-${id}-${index + 1}`, "guard-post", place, line, timber, plan)];
      });
      const bays = at.slice(1).flatMap((place, index) => {
        const from = (at[index] ?? place) + post.thicknessNm / 2;
        const clearNm = Math.round(place - post.thicknessNm / 2 - from);
        return clearNm > 0 ? bayPieces({ id: `${id}-${index + 1}`, line, from, clearNm }, timber, plan, choices) : [];
      });
      return [...standing, ...bays];
    }),
  );
  return { pieces, posts };
}

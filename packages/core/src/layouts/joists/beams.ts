import type { Piece } from "../../drawing/piece";
import { bearingOf, type JoistEdgeUV, type UV } from "../../joists/shape";
import { sectionOf } from "../../kinds";
import type { Nanometres } from "../../units";
import { acrossAt } from "./across";
import { alongEdge, beamEdges, inStock, type Longest } from "./edges";
import type { FloorPlan, LaidSupport } from "./floorPlan";
import { isInside, spotAt } from "./spots";
import { levelStick, metalAt } from "./stick";

function beamOf(plan: FloorPlan, { id, kind, u }: LaidSupport, longest: Longest): Piece[] {
  if (kind === "wall") return [];
  const { beam, choices, beamThickNm, joist, shape } = plan;
  const topNm = kind === "beam" ? -joist.depthNm : 0;
  const soldNm = longest("floor-beam", beam.id);
  return acrossAt(plan, u).flatMap(({ from, to }, part) =>
    inStock(to - from, soldNm).flatMap(([start, end], index) =>
      Array.from({ length: choices.beamPlies }, (_, ply): Piece => {
        const near = u - Math.floor(beamThickNm / 2) + ply * beam.thicknessNm;
        const corners: UV[] = [
          { u: near, v: from + start },
          { u: near, v: from + end },
          { u: near + beam.thicknessNm, v: from + end },
          { u: near + beam.thicknessNm, v: from + start },
        ];
        const pieceId = `beam-${id}-${part + 1}-${index + 1}-${ply + 1}`;
        return levelStick(
          { id: pieceId, role: "floor-beam", section: beam, corners, cutLengthNm: end - start, topNm },
          shape,
        );
      }),
    ),
  );
}

/** Places of posts along a stretch: at both its ends, and evenly between, no more than a spacing apart. */
function postsAlong(lengthNm: Nanometres, spacingNm: Nanometres, insetNm: Nanometres): Nanometres[] {
  const clear = lengthNm - 2 * insetNm;
  if (clear <= 0) return [Math.round(lengthNm / 2)];
  const gaps = Math.max(1, Math.ceil(clear / spacingNm));
  return Array.from({ length: gaps + 1 }, (_, index) => insetNm + Math.round((clear * index) / gaps));
}

type Under = { readonly id: string; readonly places: readonly UV[]; readonly flush: boolean };

/** Lines of posts: under the beams across the joists, and under those along the edges. */
function postLines(plan: FloorPlan, insetNm: Nanometres): Under[] {
  const { postSpacing } = plan.choices;
  const across = plan.supports
    .filter(({ kind }) => kind !== "wall")
    .map(({ id, kind, u }): Under => {
      const places = acrossAt(plan, u).flatMap(({ from, to }) =>
        postsAlong(to - from, postSpacing, insetNm).map((at) => ({ u, v: from + at })),
      );
      return { id, places, flush: kind === "flush-beam" };
    });
  const edges = beamEdges(plan).map((line): Under => {
    const { at, lengthNm } = alongEdge(line);
    const inward = Math.floor(plan.beamThickNm / 2);
    const places = postsAlong(lengthNm, postSpacing, insetNm).map((along) => at(along, inward));
    return { id: line.edge.id, places, flush: bearingOf(line.edge, plan.choices) === "flush-beam" };
  });
  return [...across, ...edges];
}

/** Whether a post is there already: beams that meet at a corner stand on one. */
const isThere = (places: readonly UV[], { u, v }: UV, nearNm: Nanometres): boolean =>
  places.some((other) => Math.hypot(other.u - u, other.v - v) < nearNm);

type Place = { readonly id: string; readonly at: UV; readonly topNm: Nanometres };

/** How far below the top of the joists a post ends that stands here: under the beam there is, or under the joists themselves. */
function topOfPost(plan: FloorPlan, at: UV): Nanometres {
  const { joist, beam, beamThickNm, choices } = plan;
  const half = Math.ceil(beamThickNm / 2);
  const over = plan.supports.find(({ kind, u }) => kind !== "wall" && Math.abs(u - at.u) <= half);
  const along = beamEdges(plan).find((line) => isAlong(line, at, beamThickNm));
  const kind = over?.kind ?? (along && bearingOf(along.edge, choices));
  if (kind === undefined) return -joist.depthNm;
  return kind === "flush-beam" ? -beam.depthNm : -joist.depthNm - beam.depthNm;
}

/** Whether a place lies on the beam along an edge. */
function isAlong(line: JoistEdgeUV, { u, v }: UV, thickNm: Nanometres): boolean {
  const { lengthNm } = alongEdge(line);
  if (lengthNm === 0) return false;
  const [du, dv] = [(line.to.u - line.from.u) / lengthNm, (line.to.v - line.from.v) / lengthNm];
  const [pu, pv] = [u - line.from.u, v - line.from.v];
  const inward = pv * du - pu * dv;
  const on = pu * du + pv * dv;
  return on >= 0 && on <= lengthNm && inward >= -1000 && inward <= thickNm;
}

/** Posts at places of their own, then those at a spacing where none of them stands. */
function postPlaces(plan: FloorPlan, insetNm: Nanometres): Place[] {
  const own = plan.part.spots.flatMap((spot): Place[] => {
    const at = spot.kind === "post" ? spotAt(spot, plan) : undefined;
    return at && isInside(plan, at) ? [{ id: spot.id, at, topNm: topOfPost(plan, at) }] : [];
  });
  if (plan.choices.postSpacing === 0) return own;
  const { joist, beam } = plan;
  const spaced = postLines(plan, insetNm).flatMap(({ id, places, flush }) =>
    places.map((at, index) => ({
      id: `${id}-${index + 1}`,
      at,
      topNm: flush ? -beam.depthNm : -joist.depthNm - beam.depthNm,
    })),
  );
  return [...own, ...spaced];
}

/** Posts with a cap and a base each; none where nobody has said what they stand on. */
function posts(plan: FloorPlan): Piece[] {
  const { choices, shape, part, context } = plan;
  const standing = part.standing.valueNm;
  if (standing === null) return [];
  const post = sectionOf(context.sections, choices.postSection);
  const taken: UV[] = [];
  return postPlaces(plan, Math.floor(post.depthNm / 2)).flatMap(({ id, at, topNm }): Piece[] => {
    const highNm = standing + topNm;
    if (highNm <= 0 || isThere(taken, at, post.depthNm)) return [];
    taken.push(at);
    const half = { u: Math.floor(post.thicknessNm / 2), v: Math.floor(post.depthNm / 2) };
    const corners: UV[] = [
      { u: at.u - half.u, v: at.v - half.v },
      { u: at.u + half.u, v: at.v - half.v },
      { u: at.u + half.u, v: at.v + half.v },
      { u: at.u - half.u, v: at.v + half.v },
    ];
    return [
      levelStick(
        { id: `post-${id}`, role: "floor-post", section: post, corners, cutLengthNm: highNm, topNm, deepNm: highNm },
        shape,
      ),
      metalAt(`cap-${id}`, "post-cap", at, shape, 50_000_000, topNm),
      metalAt(`base-${id}`, "post-base", at, shape, 50_000_000, topNm - highNm + 50_000_000),
    ];
  });
}

/** Beams across the joists and the posts under all beams. Those along edges are with the edges. */
export const beamPieces = (plan: FloorPlan, longest: Longest): Piece[] => [
  ...plan.supports.flatMap((support) => beamOf(plan, support, longest)),
  ...posts(plan),
];

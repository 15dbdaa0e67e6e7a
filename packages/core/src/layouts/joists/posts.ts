import type { Piece } from "../../drawing/piece";
import { spotPlace, type UV } from "../../joists/shape";
import { sectionOf } from "../../kinds";
import type { Nanometres } from "../../units";
import { type BeamRun, beamRuns, isOn, spacedPosts } from "./beamRuns";
import type { FloorPlan } from "./floorPlan";
import { isInside } from "./spots";
import { levelStick, metalAt } from "./stick";

type Place = { readonly id: string; readonly at: UV; readonly topNm: Nanometres };

/** How far below the top of the joists a post ends: under its beam, or under the joists themselves. */
const topUnder = (run: BeamRun | undefined, { joist, beam }: FloorPlan): Nanometres => {
  if (!run) return -joist.depthNm;
  return run.flush ? -beam.depthNm : -joist.depthNm - beam.depthNm;
};

/** Posts at places of their own, then those at a spacing where none of them stands. */
function postPlaces(plan: FloorPlan): Place[] {
  const runs = beamRuns(plan);
  const inward = Math.floor(plan.beamThickNm / 2);
  const own = plan.part.spots.flatMap((spot): Place[] => {
    const at = spot.kind === "post" ? spotPlace(spot, plan.part) : undefined;
    if (!at || !isInside(plan, at)) return [];
    const under = runs.find((run) => isOn(run, at, plan));
    return [{ id: spot.id, at, topNm: topUnder(under, plan) }];
  });
  const spaced = runs.flatMap((run) =>
    spacedPosts(run, plan).map((along, index): Place => {
      return { id: `${run.id}-${index + 1}`, at: run.at(along, inward), topNm: topUnder(run, plan) };
    }),
  );
  return [...own, ...spaced];
}

/** Whether a post is there already: beams that meet at a corner stand on one. */
const isThere = (places: readonly UV[], { u, v }: UV, nearNm: Nanometres): boolean =>
  places.some((other) => Math.hypot(other.u - u, other.v - v) < nearNm);

/** Posts with a cap and a base each; none where nobody has said what they stand on. */
export function postPieces(plan: FloorPlan): Piece[] {
  const { choices, shape, part, context } = plan;
  const standing = part.standing.valueNm;
  if (standing === null) return [];
  const post = sectionOf(context.sections, choices.postSection);
  const taken: UV[] = [];
  return postPlaces(plan).flatMap(({ id, at, topNm }): Piece[] => {
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

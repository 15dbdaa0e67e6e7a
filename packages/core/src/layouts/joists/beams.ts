import type { FramingPiece } from "../../drawing/piece";
import type { Span } from "../../joists/chords";
import { type BeamRun, beamRuns, postsAlong } from "./beamRuns";
import { inStock, type Longest } from "./edges";
import type { FloorPlan } from "./floorPlan";
import { overPosts } from "./overPosts";
import { levelStick } from "./stick";

type Ply = { readonly ply: number; readonly lengths: readonly Span[]; readonly loose: number };

/** The plies of a beam, each in lengths that are sold: joints over posts, evenly where nobody says what it stands on. */
function pliesOf(run: BeamRun, plan: FloorPlan, longest: Longest): Ply[] {
  const soldNm = longest("floor-beam", plan.beam.id);
  const posts = postsAlong(run, plan);
  return Array.from({ length: plan.choices.beamPlies }, (_, ply): Ply => {
    if (posts.length > 0) return { ply, ...overPosts(run.lengthNm, soldNm, posts, ply) };
    return { ply, lengths: inStock(run.lengthNm, soldNm).map(([from, to]) => ({ from, to })), loose: 0 };
  });
}

/** Beams across the joists and along the edges, ply by ply. */
export const beamPieces = (plan: FloorPlan, longest: Longest): FramingPiece[] => {
  const { beam, joist, shape } = plan;
  return beamRuns(plan).flatMap((run) =>
    pliesOf(run, plan, longest).flatMap(({ ply, lengths }) =>
      lengths.map(({ from, to }, index) => {
        const [near, far] = [ply * beam.thicknessNm, (ply + 1) * beam.thicknessNm];
        const corners = [run.at(from, near), run.at(to, near), run.at(to, far), run.at(from, far)];
        return levelStick(
          {
            id: `beam-${run.id}-${ply + 1}-${index + 1}`,
            role: "floor-beam",
            section: beam,
            corners,
            cutLengthNm: to - from,
            topNm: run.flush ? 0 : -joist.depthNm,
          },
          shape,
        );
      }),
    ),
  );
};

/** How many joints of plies lie over no post, where posts are known. */
export const looseBeamJoints = (plan: FloorPlan, longest: Longest): number =>
  beamRuns(plan)
    .flatMap((run) => pliesOf(run, plan, longest))
    .reduce((sum, { loose }) => sum + loose, 0);

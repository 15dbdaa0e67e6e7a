import { alongEdge, bearingOf, runsWithJoists, spotPlace, type UV } from "../../joists/shape";
import { sectionOf } from "../../kinds";
import type { Nanometres } from "../../units";
import { acrossAt } from "./across";
import { beamEdges } from "./edges";
import type { FloorPlan } from "./floorPlan";

/** One beam from end to end: places along it and across its plies. */
export type BeamRun = {
  readonly id: string;
  readonly lengthNm: Nanometres;
  /** Between the joists, where others lie under them. */
  readonly flush: boolean;
  readonly at: (alongNm: Nanometres, inwardNm: Nanometres) => UV;
  /** The other way round: how far along it and across it a place lies. */
  readonly placeOf: (place: UV) => { readonly alongNm: Nanometres; readonly inwardNm: Nanometres };
};

function acrossRuns(plan: FloorPlan): BeamRun[] {
  const half = Math.floor(plan.beamThickNm / 2);
  return plan.supports.flatMap(({ id, kind, u }) => {
    if (kind === "wall") return [];
    return acrossAt(plan, u).map(({ from, to }, part): BeamRun => {
      return {
        id: `${id}-${part + 1}`,
        lengthNm: to - from,
        flush: kind === "flush-beam",
        at: (alongNm, inwardNm) => ({ u: u - half + inwardNm, v: from + alongNm }),
        placeOf: (place) => ({ alongNm: place.v - from, inwardNm: place.u - u + half }),
      };
    });
  });
}

function edgeRuns(plan: FloorPlan): BeamRun[] {
  return beamEdges(plan).map((line): BeamRun => {
    const { at, lengthNm } = alongEdge(line);
    const { from, to } = line;
    const [du, dv] = lengthNm === 0 ? [1, 0] : [(to.u - from.u) / lengthNm, (to.v - from.v) / lengthNm];
    return {
      id: line.edge.id,
      lengthNm,
      flush: bearingOf(line.edge, plan.choices) === "flush-beam" && !runsWithJoists(line),
      at,
      placeOf: ({ u, v }) => ({
        alongNm: Math.round((u - from.u) * du + (v - from.v) * dv),
        inwardNm: Math.round((v - from.v) * du - (u - from.u) * dv),
      }),
    };
  });
}

/** Every beam: those across the joists, then those along the edges. */
export const beamRuns = (plan: FloorPlan): BeamRun[] => [...acrossRuns(plan), ...edgeRuns(plan)];

/** Places of posts along a stretch: at both its ends, and evenly between, no more than a spacing apart. */
function evenPosts(lengthNm: Nanometres, spacingNm: Nanometres, insetNm: Nanometres): Nanometres[] {
  if (spacingNm === 0) return [];
  const clear = lengthNm - 2 * insetNm;
  if (clear <= 0) return [Math.round(lengthNm / 2)];
  const gaps = Math.max(1, Math.ceil(clear / spacingNm));
  return Array.from({ length: gaps + 1 }, (_, index) => insetNm + Math.round((clear * index) / gaps));
}

/** A place drawn on the edge of a beam is on it. */
const HAIR_NM = 1000;

/** Whether a place lies on a beam. */
export function isOn(run: BeamRun, place: UV, plan: FloorPlan): boolean {
  const { alongNm, inwardNm } = run.placeOf(place);
  return alongNm >= 0 && alongNm <= run.lengthNm && inwardNm >= -HAIR_NM && inwardNm <= plan.beamThickNm + HAIR_NM;
}

/** How far along a beam its posts stand: at the spacing. */
export function spacedPosts({ lengthNm }: BeamRun, { choices, context }: FloorPlan): Nanometres[] {
  const half = Math.floor(sectionOf(context.sections, choices.postSection).depthNm / 2);
  return evenPosts(lengthNm, choices.postSpacing, half);
}

/** All posts along a beam, in order: at the spacing, and at places of their own. */
export function postsAlong(run: BeamRun, plan: FloorPlan): Nanometres[] {
  const own = plan.part.spots.flatMap((spot): Nanometres[] => {
    const at = spot.kind === "post" ? spotPlace(spot, plan.part) : undefined;
    return at && isOn(run, at, plan) ? [run.placeOf(at).alongNm] : [];
  });
  return [...own, ...spacedPosts(run, plan)].toSorted((a, b) => a - b);
}

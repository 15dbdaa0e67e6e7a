import type { Piece } from "../../drawing/piece";
import { spotName } from "../../joists/figures";
import { spotPlace, type UV } from "../../joists/shape";
import { type Problem, problem } from "../../problems/problem";
import { millimetres } from "../../units";
import { acrossAt } from "./across";
import type { FloorPlan } from "./floorPlan";
import { metalAt } from "./stick";

/** What stands on the edge lies in it. */
const AT_EDGE_NM = millimetres(1);

export const isInside = (plan: FloorPlan, { u, v }: UV): boolean =>
  [u, u + AT_EDGE_NM, u - AT_EDGE_NM].some((at) =>
    acrossAt(plan, at).some(({ from, to }) => v >= from - AT_EDGE_NM && v <= to + AT_EDGE_NM),
  );

const METALS = { "hold-down": "floor-hold-down", strap: "floor-strap" } as const;

/** Hold-downs and straps at the places they were given. */
export const spotPieces = (plan: FloorPlan): Piece[] =>
  plan.part.spots.flatMap((spot): Piece[] => {
    if (spot.kind === "post") return [];
    const at = spotPlace(spot, plan.part);
    if (!at || !isInside(plan, at)) return [];
    return [metalAt(`spot-${spot.id}`, METALS[spot.kind], at, plan.shape, plan.joist.depthNm)];
  });

/** What lies outside, or nowhere: it is not counted. */
export const spotsTold = (plan: FloorPlan): Problem[] =>
  plan.part.spots.flatMap((spot): Problem[] => {
    const name = spotName(plan.part, spot.id) ?? "";
    const path = `spots.${spot.id}.along`;
    const at = spotPlace(spot, plan.part);
    if (!at) return [problem("spot-unplaced", path, `Nobody has said where ${name} is: it is not counted.`)];
    if (isInside(plan, at)) return [];
    return [problem("spot-outside", path, `${name} lies outside: it is not counted.`)];
  });

import type { Piece } from "../../drawing/piece";
import type { Nanometres } from "../../units";
import type { CutJoist, JoistEnd, WithHeaders } from "./cutJoists";
import type { FloorPlan } from "./floorPlan";
import { headerFaces } from "./headerPieces";
import { HEADER_HANGERS_NM, LOOSE_TAIL_NM } from "./headers";
import { metalAt } from "./stick";

type Hung = "joist-hanger" | "wall-hanger" | undefined;

/** What an end hangs in; nothing where it bears on something. */
function hangerAt(end: JoistEnd, lengthNm: Nanometres, { choices }: FloorPlan): Hung {
  if (end.meets === "header")
    return choices.openingHangers === "all" || lengthNm > LOOSE_TAIL_NM ? "joist-hanger" : undefined;
  if (end.meets !== "edge") return end.meets === "flush-beam" ? "joist-hanger" : undefined;
  if (end.bears === "ledger" || end.bears === "flush-beam") return "joist-hanger";
  return end.bears === "hangers" ? "wall-hanger" : undefined;
}

/** Joists that stand against each other and end alike hang in one hanger for two. */
const isSecond = (joist: CutJoist, before: CutJoist | undefined): boolean =>
  before !== undefined && before.v1 === joist.v0 && before.u0 === joist.u0 && before.u1 === joist.u1;

/** A hanger at each end of a joist that hangs, and at the headers that the rule or the builder hangs. */
export function hangersOf(plan: FloorPlan, joists: readonly CutJoist[], openings: readonly WithHeaders[]): Piece[] {
  const { shape, joist } = plan;
  const ordered = joists.toSorted((a, b) => a.u0 - b.u0 || a.v0 - b.v0);
  const paired = new Set<CutJoist>();
  const second = new Set<CutJoist>();
  for (const [index, each] of ordered.entries()) {
    const before = ordered[index - 1];
    if (!before || second.has(before) || !isSecond(each, before)) continue;
    second.add(each);
    paired.add(before);
  }
  const ofJoists = ordered.flatMap((each): Piece[] => {
    if (second.has(each)) return [];
    const v = paired.has(each) ? each.v1 : Math.round((each.v0 + each.v1) / 2);
    return [["a", each.start, each.u0] as const, ["b", each.end, each.u1] as const].flatMap(([side, end, u]) => {
      const hung = hangerAt(end, each.u1 - each.u0, plan);
      if (hung === undefined) return [];
      const role = paired.has(each) && hung === "joist-hanger" ? "double-hanger" : hung;
      return [metalAt(`hanger-${each.id}-${side}`, role, { u, v }, shape, joist.depthNm)];
    });
  });
  return [...ofJoists, ...openings.flatMap((each) => headerHangers(plan, each))];
}

function headerHangers(plan: FloorPlan, { laid, headers }: WithHeaders): Piece[] {
  const { choices, shape, joist } = plan;
  const faces = headerFaces(plan, laid);
  const long = faces.to - faces.from > HEADER_HANGERS_NM;
  if (choices.openingHangers !== "all" && !long) return [];
  return headers.flatMap(({ side, faceNm, plies }) =>
    [faces.from, faces.to].map((v, index) => {
      const role = plies === 2 ? "double-hanger" : "joist-hanger";
      return metalAt(`hanger-${laid.opening.id}-${side}-${index + 1}`, role, { u: faceNm, v }, shape, joist.depthNm);
    }),
  );
}

/** Plates or scabs where joists butt over what carries them. */
export function splicesOf(plan: FloorPlan, joists: readonly CutJoist[]): Piece[] {
  const starts = new Set(
    joists.filter(({ start }) => start.meets === "support").map(({ strip, u0 }) => `${strip.id}@${u0}`),
  );
  return (
    joists
      // Those that lap pass each other, and do not begin where the other ends.
      .filter(({ end, strip, u1 }) => end.meets === "support" && starts.has(`${strip.id}@${u1}`))
      .map((each) => {
        const at = { u: each.u1, v: Math.round((each.v0 + each.v1) / 2) };
        return metalAt(`splice-${each.id}`, "joist-splice", at, plan.shape, plan.joist.depthNm);
      })
  );
}

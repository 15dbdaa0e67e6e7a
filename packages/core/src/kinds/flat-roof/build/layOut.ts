import type { Assembly } from "../../../assemblies";
import type { Piece } from "../../../drawing/piece";
import { joistShape, overhangOf, reachOf, runsWithJoists } from "../../../joists/shape";
import type { Layout, Site } from "../../../layouts";
import {
  fallTowards,
  firringsOf,
  type LaidJoists,
  type Longest,
  laddersOf,
  noggingsOf,
  roofPlatesOf,
} from "../../../layouts/joists";
import { edgeLetter } from "../../../parts/walkedOutline";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength } from "../../../units";
import { joistWords, laidOnJoists } from "../../floor/build/laidOnJoists";
import { FLAT_ROOF_PARAMETERS, type FlatRoof } from "../schema";
import { fasciaSides, gutterSides, isOpen, lowSide } from "../sides";

/** What a flat roof adds: wall plates, end ladders, rows of noggings, a firring on each joist. */
function addedTo(roof: FlatRoof, laid: LaidJoists, longest: Longest): Piece[] {
  const { plan, joists } = laid;
  const ladders = laddersOf(plan);
  const low = lowSide(roof);
  const outer = ladders.filter(({ role }) => role === "ladder-joist");
  const under = [...joists, ...outerPlaces(laid, outer)];
  return [
    ...roofPlatesOf(plan, longest),
    ...ladders,
    ...noggingsOf(plan, joists),
    ...firringsOf(plan, under, low && fallTowards(plan, low.id), longest),
  ];
}

/** The outer joists of ladders carry a firring as well: the deck goes over them. */
const outerPlaces = ({ plan }: LaidJoists, outer: readonly Piece[]) =>
  outer.flatMap((piece) => {
    if (!("points" in piece) || !piece.points) return [];
    const corners = piece.points.map(plan.shape.toUV);
    const [us, vs] = [corners.map(({ u }) => u), corners.map(({ v }) => v)];
    return [{ id: piece.id, u0: Math.min(...us), u1: Math.max(...us), v0: Math.min(...vs), v1: Math.max(...vs) }];
  });

/** Overhangs that leave no roof between them are told, and laid as none: what they would be no one can build. */
function withinReason(roof: FlatRoof, site: Site): { readonly roof: FlatRoof; readonly told: readonly Problem[] } {
  const shape = joistShape(roof);
  if (!shape) return { roof, told: [] };
  const reach = reachOf(shape.ring);
  const say = (nm: number) => formatLength(nm, site.context.system);
  const wide = shape.edges.filter((line) => {
    const room = runsWithJoists(line) ? reach.v1 - reach.v0 : reach.u1 - reach.u0;
    const others = shape.edges.filter((other) => other !== line && runsWithJoists(other) === runsWithJoists(line));
    const least = Math.max(0, ...others.map(({ edge }) => overhangOf(edge)));
    // Of two that leave nothing between them it is the greater.
    return overhangOf(line.edge) > 0 && overhangOf(line.edge) >= least && overhangOf(line.edge) + least >= room;
  });
  if (wide.length === 0) return { roof, told: [] };
  const ids = new Set(wide.map(({ edge }) => edge.id));
  const told = wide.map(({ edge }) =>
    problem(
      "overhang-wide",
      `edges.${edge.id}.overhang`,
      `Edge ${edgeLetter(roof.edges, edge.id)} hangs over by ${say(overhangOf(edge))}: nothing of the roof is left between its overhangs. It is laid without.`,
    ),
  );
  const none = { valueNm: 0, typed: "", assumed: false };
  return {
    roof: { ...roof, edges: roof.edges.map((edge) => (ids.has(edge.id) ? { ...edge, overhang: none } : edge)) },
    told,
  };
}

/** What is odd about how it falls. */
function fallTold(roof: FlatRoof, { plan }: LaidJoists): Problem[] {
  if (!plan.choices.firrings) return [];
  const low = lowSide(roof);
  if (!low)
    return [
      problem(
        "no-low-side",
        "fallsTo",
        "All its sides are against walls: nobody has said where water runs to, and there are no firrings.",
      ),
    ];
  const name = `Edge ${edgeLetter(roof.edges, low.id)}`;
  const found: Problem[] = [];
  if (!isOpen(low))
    found.push(
      problem(
        "falls-to-wall",
        "fallsTo",
        `It falls towards ${name}, which is against a wall: water stands there without an outlet. Counted as it is said.`,
      ),
    );
  if (!fallTowards(plan, low.id))
    found.push(
      problem(
        "falls-aslant",
        "fallsTo",
        `${name} slants: there are no firrings. Let it fall to a side that is square to the others.`,
      ),
    );
  return found;
}

/** Rows of noggings stiffen it, and its walls are strapped at their plates. */
const NOT_OF_ROOFS = {
  blocking: "none",
  blockAtSupports: false,
  strapSpacing: 0,
  doubleUnderWalls: false,
  postSpacing: 0,
} as const;

/** A fascia or a gutter along a wall is nothing that can be fixed there. */
const trimsTold = (roof: FlatRoof): Problem[] =>
  (
    [
      ["fascia", fasciaSides(roof)],
      ["gutter", gutterSides(roof)],
    ] as const
  ).flatMap(([trim, ids]) => {
    const walls = roof.edges.filter((edge) => ids.includes(edge.id) && !isOpen(edge));
    return walls.map(({ id }) =>
      problem(
        `${trim}-at-wall`,
        trim,
        `Edge ${edgeLetter(roof.edges, id)} is against a wall and has a ${trim}: it is counted as it is said.`,
      ),
    );
  });

/** Lays out a flat roof: joists in the bay, ladders beside it, what makes the fall, the deck. */
export function layOutFlatRoof(entered: FlatRoof, assembly: Assembly, site: Site): Layout {
  const { roof, told } = withinReason(entered, site);
  return laidOnJoists(roof, assembly, site, {
    parameters: FLAT_ROOF_PARAMETERS,
    without: NOT_OF_ROOFS,
    more: (laid, longest) => addedTo(roof, laid, longest),
    words: (laid) => flatWords(roof, laid, site),
    told: (laid) => [...told, ...fallTold(roof, laid), ...trimsTold(roof)],
    panelsAre: "Roof deck",
  });
}

function flatWords(roof: FlatRoof, laid: LaidJoists | undefined, { context }: Site): Record<string, string> {
  const low = lowSide(roof);
  const open = roof.edges.filter(isOpen).length;
  const sides = ["no open side", "one open side", "two open sides", "three open sides"][open] ?? `${open} open sides`;
  return {
    ...joistWords(roof, laid, context.system),
    fallWords: laid ? `1 in ${Number(laid.plan.choices.fallOver.toFixed(1))}` : "",
    lowWords: low ? `towards Edge ${edgeLetter(roof.edges, low.id)}` : "",
    sideWords: sides,
  };
}

import type { FramingPiece } from "../../../drawing/piece";
import type { UV } from "../../../joists/shape";
import { type FloorPlan, levelStick, uprightAlong } from "../../../layouts/joists";
import { type Section, sectionOf } from "../../../parts/section";
import type { Nanometres } from "../../../units";
import type { DeckChoices } from "../choices";
import type { Deck } from "../schema";
import { type Flight, flightsOf, handrailsOf } from "../stairs";
import { balustersIn, evenly, type GuardTimber, guardTimber, stands, UNDER_RAIL_NM } from "./guard";

type Stairs = { readonly plan: FloorPlan; readonly choices: DeckChoices; readonly timber: GuardTimber };

/** How many stringers carry treads so wide: at both sides, and between no further apart than the most. */
export const stringersIn = (widthNm: Nanometres, thickNm: Nanometres, mostNm: Nanometres): number =>
  Math.max(2, Math.ceil((widthNm - thickNm) / mostNm - 1e-6) + 1);

const box = ({ side, alongNm }: Flight, along: readonly [number, number], out: readonly [number, number]): UV[] => [
  side.at(alongNm + along[0], out[0]),
  side.at(alongNm + along[1], out[0]),
  side.at(alongNm + along[1], out[1]),
  side.at(alongNm + along[0], out[1]),
];

/** A stringer seen from its side: notched for every tread, its underside along the slope. Heights above the top of the joists. */
function notched({ treads, riserNm, goingNm, runNm, riseNm }: Flight, topNm: Nanometres) {
  const steps = Array.from({ length: treads }, (_, step): [number, number][] => [
    [step * goingNm, topNm - (step + 1) * riserNm],
    [(step + 1) * goingNm, topNm - (step + 1) * riserNm],
  ]).flat();
  const foot: [number, number][] = [
    [runNm, topNm - riseNm],
    [runNm - goingNm, topNm - riseNm],
    [0, topNm - 2 * riserNm],
  ];
  return [...steps, ...foot];
}

function stringers(flight: Flight, { plan, choices, timber }: Stairs): FramingPiece[] {
  const { side, alongNm, widthNm, risers, slopeNm, runNm } = flight;
  const section = sectionOf(plan.context.sections, choices.stringerSection);
  const t = section.thicknessNm;
  const count = stringersIn(widthNm, t, choices.stringerSpacing);
  const tread = sectionOf(plan.context.sections, choices.boardSection).thicknessNm;
  return Array.from({ length: count }, (_, index) => {
    const at = Math.round(((widthNm - t) * index) / (count - 1));
    const middle = alongNm + at + t / 2;
    const line = [side.at(middle, 0), side.at(middle, runNm)].map(plan.shape.fromUV);
    const [from, to] = line;
    const piece = levelStick(
      {
        id: `stringer-${flight.stair.id}-${index + 1}`,
        role: "stringer",
        section,
        corners: box(flight, [at, at + t], [0, runNm]),
        // A step of it for every riser: the last reaches from the top tread to the rim. Common practice.
        cutLengthNm: Math.round(risers * slopeNm),
      },
      plan.shape,
    );
    if (!from || !to) return piece;
    return { ...piece, inSpace: uprightAlong([from, to], notched(flight, timber.boardsNm - tread), t) };
  });
}

/** Boards so wide that it takes for a tread with its nosing. */
export const boardsInTread = (
  { boardGap, treadGoing, treadNosing }: Pick<DeckChoices, "boardGap" | "treadGoing" | "treadNosing">,
  { depthNm }: Pick<Section, "depthNm">,
): number => Math.max(1, Math.ceil((treadGoing + treadNosing + boardGap) / (depthNm + boardGap) - 1e-6));

function treads(flight: Flight, { plan, choices, timber }: Stairs): FramingPiece[] {
  const section = sectionOf(plan.context.sections, choices.boardSection);
  const { widthNm, goingNm, riserNm, stair } = flight;
  const boards = boardsInTread(choices, section);
  const deepNm = goingNm + choices.treadNosing;
  return Array.from({ length: flight.treads }, (_, step) =>
    Array.from({ length: boards }, (_, board) => {
      const near = step * goingNm + board * (section.depthNm + choices.boardGap);
      const far = Math.min(near + section.depthNm, step * goingNm + deepNm);
      return levelStick(
        {
          id: `tread-${stair.id}-${step + 1}-${board + 1}`,
          role: "stair-tread",
          section,
          corners: box(flight, [0, widthNm], [near, Math.max(near + 1, far)]),
          cutLengthNm: widthNm,
          topNm: timber.boardsNm - (step + 1) * riserNm,
          deepNm: section.thicknessNm,
        },
        plan.shape,
      );
    }),
  ).flat();
}

/** Boards over the open face of every riser, beneath the tread above it. */
function riserBoards(flight: Flight, { plan, choices, timber }: Stairs): FramingPiece[] {
  if (!choices.risersBoarded) return [];
  const section = sectionOf(plan.context.sections, choices.riserSection);
  const tread = sectionOf(plan.context.sections, choices.boardSection).thicknessNm;
  const { risers, riserNm, goingNm, widthNm, stair } = flight;
  const highNm = Math.max(1, riserNm - tread);
  const boards = Math.max(1, Math.ceil(highNm / section.depthNm - 1e-6));
  return Array.from({ length: risers }, (_, riser) =>
    Array.from({ length: boards }, (_, board) =>
      levelStick(
        {
          id: `riser-${stair.id}-${riser + 1}-${board + 1}`,
          role: "stair-riser",
          section,
          corners: box(flight, [0, widthNm], [riser * goingNm, riser * goingNm + section.thicknessNm]),
          cutLengthNm: widthNm,
          topNm: timber.boardsNm - tread - riser * riserNm - (board * highNm) / boards,
          deepNm: highNm / boards,
        },
        plan.shape,
      ),
    ),
  ).flat();
}

type Rail = { readonly id: string; readonly role: string; readonly section: Section; readonly topNm: Nanometres };

/** Something that goes down beside a stair, so far along and from one place out to another. */
function sloping(
  flight: Flight,
  rail: Rail,
  along: Nanometres,
  [out0, out1]: readonly [number, number],
  plan: FloorPlan,
) {
  const { id, role, section, topNm } = rail;
  const half = section.thicknessNm / 2;
  const [from, to] = [flight.side.at(flight.alongNm + along, out0), flight.side.at(flight.alongNm + along, out1)];
  const long = out1 - out0;
  const slope = flight.riserNm / flight.goingNm;
  const stick = levelStick(
    {
      id,
      role,
      section,
      corners: box(flight, [along - half, along + half], [out0, out1]),
      cutLengthNm: Math.round((long * flight.slopeNm) / flight.goingNm),
    },
    plan.shape,
  );
  const at = (outNm: Nanometres) => topNm - outNm * slope;
  const outline: [number, number][] = [
    [0, at(out0)],
    [long, at(out1)],
    [long, at(out1) - section.depthNm],
    [0, at(out0) - section.depthNm],
  ];
  const line = [plan.shape.fromUV(from), plan.shape.fromUV(to)] as const;
  return { ...stick, inSpace: uprightAlong(line, outline, section.thicknessNm) };
}

/** Rails and balusters beside a stair, from the post at its head to the one at its foot. */
function sideGuard(flight: Flight, side: 1 | 2, along: Nanometres, { plan, choices, timber }: Stairs): FramingPiece[] {
  const { rail, baluster, post, boardsNm, highNm } = timber;
  const { stair, runNm, riserNm, goingNm, slopeNm } = flight;
  // Between the faces of both posts.
  const clearNm = runNm - post.depthNm;
  if (clearNm <= 0) return [];
  const own = `${stair.id}-${side}`;
  // Above the noses of the treads, which begin one riser down.
  const topNm = boardsNm - riserNm + highNm;
  const rails = [topNm, topNm - highNm + UNDER_RAIL_NM + rail.depthNm].map((top, index) =>
    sloping(
      flight,
      { id: `stair-rail-${own}-${index + 1}`, role: "stair-rail", section: rail, topNm: top },
      along,
      [0, clearNm],
      plan,
    ),
  );
  const count = balustersIn(clearNm, baluster.thicknessNm, choices.stairGap);
  // A rail that slopes is deeper upright than it is square to itself.
  const railNm = (rail.depthNm * slopeNm) / goingNm;
  const high = Math.max(1, Math.round(highNm - UNDER_RAIL_NM - 2 * railNm));
  const half = baluster.thicknessNm / 2;
  const balusters = evenly(count, clearNm, baluster.thicknessNm).map((at, index) =>
    levelStick(
      {
        id: `stair-baluster-${own}-${index + 1}`,
        role: "stair-baluster",
        section: baluster,
        corners: box(flight, [along - half, along + half], [at - half, at + half]),
        cutLengthNm: high,
        topNm: topNm - (at * riserNm) / goingNm - railNm,
        deepNm: high,
      },
      plan.shape,
    ),
  );
  return [...rails, ...balusters];
}

/** Posts at the head and the foot of a stair; at its head only where no post of the guard stands. */
function stairPosts(flight: Flight, side: 1 | 2, along: Nanometres, taken: UV[], { plan, timber }: Stairs) {
  const { post, postNm, boardsNm, highNm } = timber;
  const half = post.depthNm / 2;
  const { stair, runNm, riseNm, riserNm } = flight;
  return [
    { name: "head", out: -half, topNm: boardsNm + highNm },
    { name: "foot", out: runNm - half, topNm: boardsNm - riseNm + riserNm + highNm },
  ].flatMap(({ name, out, topNm }): FramingPiece[] => {
    const at = flight.side.at(flight.alongNm + along, out);
    if (stands(taken, at, post.depthNm)) return [];
    taken.push(at);
    const corners = box(flight, [along - post.thicknessNm / 2, along + post.thicknessNm / 2], [out - half, out + half]);
    const id = `stair-post-${stair.id}-${side}-${name}`;
    return [
      levelStick(
        { id, role: "stair-post", section: post, corners, cutLengthNm: postNm, topNm, deepNm: postNm },
        plan.shape,
      ),
    ];
  });
}

/** Sides of a stair that have a guard or a handrail, in that order. */
function railedSides(flight: Flight, { plan, choices }: Stairs) {
  const guarded = flight.riseNm > choices.guardPast;
  const rails = handrailsOf(flight, choices, plan.context.system);
  return { guarded, rails, sides: ([1, 2] as const).slice(0, guarded ? 2 : rails) };
}

function flightPieces(flight: Flight, taken: UV[], stairs: Stairs): FramingPiece[] {
  const { guarded, rails, sides } = railedSides(flight, stairs);
  const { plan, choices, timber } = stairs;
  const half = timber.post.thicknessNm / 2;
  const handrail = sectionOf(plan.context.sections, choices.handrailSection);
  const beside = sides.flatMap((side) => {
    const along = side === 1 ? -half : flight.widthNm + half;
    const topNm = timber.boardsNm - flight.riserNm + timber.highNm;
    const own: Rail = { id: `handrail-${flight.stair.id}-${side}`, role: "handrail", section: handrail, topNm };
    // Within the posts, over every tread.
    const inner = side === 1 ? handrail.thicknessNm / 2 : flight.widthNm - handrail.thicknessNm / 2;
    return [
      ...stairPosts(flight, side, along, taken, stairs),
      ...(guarded ? sideGuard(flight, side, along, stairs) : []),
      ...(side <= rails ? [sloping(flight, own, inner, [0, flight.runNm], plan)] : []),
    ];
  });
  return [...stringers(flight, stairs), ...treads(flight, stairs), ...riserBoards(flight, stairs), ...beside];
}

/** Stairs down from the deck; `posts` are those of the guard, which they share. */
export function layStairs(plan: FloorPlan, deck: Deck, choices: DeckChoices, posts: readonly UV[]): FramingPiece[] {
  const stairs: Stairs = { plan, choices, timber: guardTimber(plan, choices) };
  const taken = [...posts];
  return flightsOf(deck, choices)
    .filter(({ treads: count }) => count > 0)
    .flatMap((flight) => flightPieces(flight, taken, stairs));
}

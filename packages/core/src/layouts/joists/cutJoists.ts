import { type Chord, chordsOf, type Span, slantOf, withoutSpans } from "../../joists/chords";
import type { JoistRole } from "../../joists/roles";
import { type Area, bearingOf } from "../../joists/shape";
import type { Nanometres } from "../../units";
import { type FloorPlan, type LaidOpening, takenByEdge } from "./floorPlan";
import { type Header, headersOf } from "./headers";
import type { Strip } from "./strips";

/** What the end of a joist meets. */
export type JoistEnd =
  | { readonly meets: "edge"; readonly bears: ReturnType<typeof bearingOf> }
  | { readonly meets: "header"; readonly opening: LaidOpening; readonly header: Header }
  | { readonly meets: "support" | "flush-beam" };

/** One joist as it is cut. */
export type CutJoist = Area & {
  readonly id: string;
  readonly role: JoistRole;
  readonly strip: Strip;
  readonly start: JoistEnd;
  readonly end: JoistEnd;
};

export type WithHeaders = { readonly laid: LaidOpening; readonly headers: readonly Header[] };

/** A length of a joist; `laps` counts the lengths that it laps one after the other from the start. */
type Piece = Span & { readonly start: JoistEnd; readonly end: JoistEnd; readonly laps: number };

/** Between what lies along its edges, or into the wall. */
function endsOf(chord: Chord, plan: FloorPlan): Piece {
  const end = (edge: Chord["start"]): JoistEnd => ({ meets: "edge", bears: bearingOf(edge.edge, plan.choices) });
  const taken = (edge: Chord["start"]) => Math.round(takenByEdge(edge, plan) * slantOf(edge));
  return {
    from: chord.from + taken(chord.start),
    to: chord.to - taken(chord.end),
    start: end(chord.start),
    end: end(chord.end),
    laps: 0,
  };
}

/** What of a joist an opening leaves: its tails, each from the back of a header. */
function cutAtOpening(piece: Piece, { laid, headers }: WithHeaders, joistNm: Nanometres): Piece[] {
  const { u0, u1 } = laid.area;
  const of = (side: Header["side"]) => headers.find((each) => each.side === side);
  const [near, far] = [of("near"), of("far")];
  const cut: Span = {
    from: u0 - (near ? near.plies * joistNm : 0),
    to: u1 + (far ? far.plies * joistNm : 0),
  };
  return withoutSpans([piece], [cut]).flatMap(({ from, to }): Piece[] => {
    const atNear = to === cut.from;
    const atFar = from === cut.to;
    // Where no header stands, nothing is left between the opening and the edge that a joist could be.
    if ((atNear && !near) || (atFar && !far)) return [];
    const start: JoistEnd = atFar && far ? { meets: "header", opening: laid, header: far } : piece.start;
    const end: JoistEnd = atNear && near ? { meets: "header", opening: laid, header: near } : piece.end;
    return [{ from, to, start, end, laps: piece.laps }];
  });
}

/** Cut over what carries it: hung on both sides of a flush beam, lapped past or butted over what lies below. */
function cutAtSupports(piece: Piece, plan: FloorPlan, laps: boolean): Piece[] {
  const { choices, supports, beamThickNm } = plan;
  const half = Math.floor(beamThickNm / 2);
  return supports.reduce<Piece[]>(
    (pieces, { kind, u }) =>
      pieces.flatMap((each): Piece[] => {
        const flush = kind === "flush-beam";
        if (!flush && choices.overSupport === "run-over") return [each];
        const room = flush ? half : 0;
        if (u - room <= each.from || u + room >= each.to) return [each];
        const reach = flush ? -half : laps ? Math.ceil(choices.supportLap / 2) : 0;
        const at: JoistEnd = { meets: flush ? "flush-beam" : "support" };
        return [
          { ...each, to: Math.min(each.to, u + reach), end: at },
          { ...each, from: Math.max(each.from, u - reach), start: at, laps: each.laps + (flush ? 0 : 1) },
        ];
      }),
    [piece],
  );
}

/** How wide the joists are that stand against each other with one: those that lap move beside all of them. */
const groupWidth = (strip: Strip, strips: readonly Strip[], joistNm: Nanometres): Nanometres =>
  joistNm * (1 + strips.filter((each) => each !== strip && (each.v1 === strip.v0 || each.v0 === strip.v1)).length);

/** The joist at an edge stays where an opening lies at that edge; past the edge's end it is cut like the others. */
const isCut = ({ role, along, v0, v1 }: Strip, { area }: LaidOpening): boolean =>
  role !== "trimmer-joist" &&
  v0 < area.v1 &&
  v1 > area.v0 &&
  (along === undefined || along.to <= area.u0 || along.from >= area.u1);

/** Every joist as it is cut, in the order they lie. */
export function cutJoists(plan: FloorPlan, strips: readonly Strip[], openings: readonly WithHeaders[]): CutJoist[] {
  const joistNm = plan.joist.thicknessNm;
  const moves = lapMoves(strips, plan);
  return strips.flatMap((strip) => {
    const cutting = openings.filter(({ laid }) => !laid.opening.runThrough && isCut(strip, laid));
    const moveNm = moves.get(strip) ?? 0;
    const pieces = strip.chords
      .map((chord) => endsOf(chord, plan))
      .flatMap((whole) =>
        cutting
          .reduce((left, each) => left.flatMap((piece) => cutAtOpening(piece, each, joistNm)), [whole])
          .flatMap((piece) => cutAtSupports(piece, plan, moveNm !== 0)),
      )
      .filter(({ from, to }) => to > from);
    return pieces.map((piece, index): CutJoist => {
      const isTail = piece.start.meets === "header" || piece.end.meets === "header";
      // Every other length lies beside the one it laps.
      const over = moveNm * (piece.laps % 2);
      return {
        id: pieces.length > 1 ? `${strip.id}-${index + 1}` : strip.id,
        role: isTail ? "tail-joist" : strip.role,
        strip,
        start: piece.start,
        end: piece.end,
        u0: piece.from,
        u1: piece.to,
        v0: strip.v0 + over,
        v1: strip.v1 + over,
      };
    });
  });
}

type Place = Pick<Strip, "v0" | "v1" | "chords">;

const share = (a: Place, b: Place): boolean =>
  a.v0 < b.v1 &&
  b.v0 < a.v1 &&
  a.chords.some((one) => b.chords.some((other) => one.from < other.to && other.from < one.to));

/** Whether a joist that was moved lies in the outline wherever it lay before. */
const isInside = ({ chords }: Strip, moved: Place): boolean =>
  chords.every(({ from, to }) => moved.chords.some((chord) => chord.from <= from && chord.to >= to));

/**
 * How far every other length of each joist lies aside where they lap: past its neighbours to one side or the other, wherever there is room. One
 * without room on either side is butted in line.
 */
function lapMoves(strips: readonly Strip[], { choices, joist, shape }: FloorPlan): ReadonlyMap<Strip, Nanometres> {
  const moves = new Map<Strip, Nanometres>();
  if (choices.overSupport !== "lapped") return moves;
  const placed: Place[] = [];
  for (const strip of strips.toReversed()) {
    const width = groupWidth(strip, strips, joist.thicknessNm);
    for (const by of [width, -width]) {
      const [v0, v1] = [strip.v0 + by, strip.v1 + by];
      const moved = { v0, v1, chords: chordsOf(shape.edges, v0, v1) };
      const inTheWay = [...placed, ...strips.filter((each) => each !== strip)].some((each) => share(each, moved));
      if (inTheWay || !isInside(strip, moved)) continue;
      moves.set(strip, by);
      placed.push(moved);
      break;
    }
  }
  return moves;
}

/** Openings with their headers. */
export const withHeaders = (plan: FloorPlan): WithHeaders[] =>
  plan.openings.map((laid) => ({ laid, headers: headersOf(plan, laid) }));

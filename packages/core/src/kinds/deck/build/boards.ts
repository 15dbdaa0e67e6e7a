import type { FramingPiece, Piece } from "../../../drawing/piece";
import { acrossBand, type Span, withoutSpans } from "../../../joists/chords";
import { type JoistEdgeUV, reachOf, runsWithJoists, type UV } from "../../../joists/shape";
import {
  type CutJoist,
  cornersUV,
  type FloorPlan,
  inStock,
  type LaidJoists,
  type Longest,
  levelStick,
} from "../../../layouts/joists";
import { type Section, sectionOf } from "../../../parts/section";
import type { Nanometres } from "../../../units";
import type { DeckChoices } from "../choices";
import { type BoardField, boardField } from "../field";
import { type BoardRows, boardRows, rowCount } from "../rows";
import type { Deck } from "../schema";
import { frameSides } from "../sides";

export type LaidBoards = {
  readonly pieces: readonly FramingPiece[];
  readonly rows: BoardRows;
  /** Whether its frame was asked for, and leaves no deck within it. */
  readonly frameTooWide: boolean;
  /** Ends of boards within the deck that lie on no joist. */
  readonly looseJoints: number;
};

type Boards = {
  readonly plan: FloorPlan;
  readonly choices: DeckChoices;
  readonly board: Section;
  readonly longest: Longest;
};

const flat = (board: Section) => ({ topNm: board.thicknessNm, deepNm: board.thicknessNm });

const between = (a: UV, b: UV, share: number): UV => ({
  u: Math.round(a.u + (b.u - a.u) * share),
  v: Math.round(a.v + (b.v - a.v) * share),
});

/** One board along an edge, mitred where its neighbours have one; in lengths that are sold. */
function frameBoard(id: string, outer: JoistEdgeUV, inner: JoistEdgeUV, boards: Boards): FramingPiece[] {
  const { board, plan, longest } = boards;
  const longNm = Math.hypot(outer.to.u - outer.from.u, outer.to.v - outer.from.v);
  const stretches = inStock(longNm, longest("frame-board", board.id));
  return stretches.map(([from, to], index) => {
    const corners = [
      between(outer.from, outer.to, from / longNm),
      between(outer.from, outer.to, to / longNm),
      between(inner.from, inner.to, to / longNm),
      between(inner.from, inner.to, from / longNm),
    ];
    const ownId = stretches.length > 1 ? `${id}-${index + 1}` : id;
    const own = { id: ownId, role: "frame-board", section: board, corners, cutLengthNm: to - from };
    return levelStick({ ...own, ...flat(board) }, plan.shape);
  });
}

/** The picture frame, board by board inwards. */
function framePieces(deck: Deck, { within, frameBoards }: BoardField, boards: Boards): FramingPiece[] {
  const on = new Set(frameSides(deck));
  const { board, choices } = boards;
  return Array.from({ length: frameBoards }, (_, ply) => {
    const near = ply * (board.depthNm + choices.boardGap);
    const [out, inside] = [within(near), within(near + board.depthNm)];
    return out.flatMap((line, index) => {
      const inner = inside[index];
      return on.has(line.edge.id) && inner ? frameBoard(`frame-${line.edge.id}-${ply + 1}`, line, inner, boards) : [];
    });
  }).flat();
}

/** A run of board in lengths that are sold, cut on joists; every other row begins with a short one. */
function cutOnJoists({ from, to }: Span, middles: readonly Nanometres[], soldNm: Nanometres, short: boolean) {
  const cuts: Span[] = [];
  let loose = 0;
  let at = from;
  while (to - at > soldNm) {
    const reach = at + (short && cuts.length === 0 ? soldNm / 2 : soldNm);
    const on = middles.filter((middle) => middle > at && middle <= reach);
    const next = on[on.length - 1] ?? Math.round(reach);
    if (on.length === 0) loose += 1;
    cuts.push({ from: at, to: next });
    at = next;
  }
  return { cuts: [...cuts, { from: at, to }], loose };
}

/** Where rows lie along the joists, from the side they begin at. */
function bandsOf(field: readonly JoistEdgeUV[], rows: BoardRows, { board, choices }: Boards): Span[] {
  const { u0, u1 } = reachOf(field.map(({ from }) => from));
  return Array.from({ length: rowCount(rows) }, (_, row): Span => {
    const near = Math.round(row * (board.depthNm + rows.gapNm));
    const far = row < rows.whole ? near + board.depthNm : u1 - u0;
    return choices.boardsFrom === "near" ? { from: u0 + near, to: u0 + far } : { from: u1 - far, to: u1 - near };
  });
}

function fieldBoards(field: readonly JoistEdgeUV[], rows: BoardRows, joists: readonly CutJoist[], boards: Boards) {
  const { plan, board, longest } = boards;
  const soldNm = longest("deck-board", board.id);
  let looseJoints = 0;
  const pieces = bandsOf(field, rows, boards).flatMap((band, row) => {
    const open = plan.openings
      .filter(({ area }) => area.u0 <= band.from && area.u1 >= band.to)
      .map(({ area }) => ({ from: area.v0, to: area.v1 }));
    const middle = (band.from + band.to) / 2;
    const middles = joists
      .filter(({ u0, u1 }) => u0 <= middle && u1 >= middle)
      .map(({ v0, v1 }) => Math.round((v0 + v1) / 2))
      .toSorted((a, b) => a - b);
    return withoutSpans(acrossBand(field, band.from, band.to), open).flatMap((run, part) => {
      const { cuts, loose } = cutOnJoists(run, middles, soldNm, row % 2 === 1);
      looseJoints += loose;
      return cuts.map(({ from, to }, index) => {
        const corners = cornersUV({ u0: band.from, u1: band.to, v0: from, v1: to });
        const id = `board-${row + 1}-${part + 1}-${index + 1}`;
        const own = { id, role: "deck-board", section: board, corners, cutLengthNm: to - from };
        return levelStick({ ...own, ...flat(board) }, plan.shape);
      });
    });
  });
  return { pieces, looseJoints };
}

/** Under a frame that runs with the joists: blocks from the joist at the edge to the next, as far apart as the joists. */
function frameBlocks(deck: Deck, joists: readonly CutJoist[], { plan, choices }: Boards): FramingPiece[] {
  const on = new Set(frameSides(deck));
  const t = plan.joist.thicknessNm;
  return plan.shape.edges
    .filter((line) => runsWithJoists(line) && on.has(line.edge.id))
    .flatMap(({ edge, from, to }) => {
      const inside = to.u > from.u ? 1 : -1;
      const [start, end] = [Math.min(from.u, to.u), Math.max(from.u, to.u)];
      const inwards = (joist: CutJoist) => (inside === 1 ? joist.v0 - from.v : from.v - joist.v1);
      const count = Math.max(0, Math.ceil((end - start) / choices.joistSpacing) - 1);
      return Array.from({ length: count }, (_, index) => start + (index + 1) * choices.joistSpacing).flatMap(
        (u, index): FramingPiece[] => {
          const [first, second] = joists
            .filter((joist) => joist.u0 <= u && joist.u1 >= u + t && inwards(joist) >= 0)
            .toSorted((a, b) => inwards(a) - inwards(b));
          if (!first || !second) return [];
          const [v0, v1] = inside === 1 ? [first.v1, second.v0] : [second.v1, first.v0];
          if (v1 <= v0) return [];
          const own = { id: `frame-block-${edge.id}-${index + 1}`, role: "frame-block", section: plan.joist };
          return [
            levelStick({ ...own, corners: cornersUV({ u0: u, u1: u + t, v0, v1 }), cutLengthNm: v1 - v0 }, plan.shape),
          ];
        },
      );
    });
}

/** A row of blocking that lies there already is such a block. */
const isFree = (block: FramingPiece, framing: readonly Piece[]): boolean =>
  !framing.some(
    (other) =>
      other.role === "floor-block" &&
      other.xNm < block.xNm + block.widthNm &&
      block.xNm < other.xNm + other.widthNm &&
      other.yNm < block.yNm + block.heightNm &&
      block.yNm < other.yNm + other.heightNm,
  );

/** Boards over the joists: the picture frame along its sides, rows across the joists within it. */
export function layBoards(
  { plan, joists, pieces: framing }: LaidJoists,
  deck: Deck,
  choices: DeckChoices,
  longest: Longest,
): LaidBoards {
  const board = sectionOf(plan.context.sections, choices.boardSection);
  const boards: Boards = { plan, choices, board, longest };
  const lies = boardField(deck, plan.shape.edges, choices, board.depthNm);
  const frame = framePieces(deck, lies, boards);
  const { u0, u1 } = reachOf(lies.field.map(({ from }) => from));
  const rows = boardRows(u1 - u0, board.depthNm, choices);
  const { pieces, looseJoints } = fieldBoards(lies.field, rows, joists, boards);
  const blocks = frame.length > 0 ? frameBlocks(deck, joists, boards).filter((block) => isFree(block, framing)) : [];
  return { pieces: [...frame, ...pieces, ...blocks], rows, frameTooWide: lies.frameTooWide, looseJoints };
}

import type { HeaderRow } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import { type Problem, problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { formatLength, type Nanometres } from "../../../units";
import type { Section } from "../..";
import { type Frame, type FramedOpening, lowestUndersideOf, lying, uprightTo, uprightToPlates } from "./frame";

/** The schedule's row for a width: the first that reaches it, or the last, which is then beyond the schedule. */
export function headerFor(
  schedule: readonly HeaderRow[],
  widthNm: Nanometres,
): { row: HeaderRow; beyond: boolean } | undefined {
  const rows = schedule.toSorted((a, b) => a.maxWidthNm - b.maxWidthNm);
  const fitting = rows.find((row) => widthNm <= row.maxWidthNm);
  if (fitting) return { row: fitting, beyond: false };
  const last = rows[rows.length - 1];
  return last && { row: last, beyond: true };
}

export function frameOpening(frame: Frame, framed: FramedOpening): { pieces: FramingPiece[]; problems: Problem[] } {
  const head = headPieces(frame, framed);
  return {
    pieces: [...jambs(frame, framed), ...head.pieces, ...sillPieces(frame, framed)],
    problems: head.problems,
  };
}

function jambs(frame: Frame, framed: FramedOpening): FramingPiece[] {
  const { id } = framed.opening;
  const { footNm, thicknessNm } = frame;
  const kings = (side: string, lefts: readonly Nanometres[]) =>
    lefts.map((xNm, index) => {
      const king = { role: "king", id: `king-${id}-${side}-${index + 1}`, xNm, fromNm: footNm, openingId: id } as const;
      return uprightToPlates(frame, king);
    });
  const jack = (side: string, number: number, xNm: Nanometres) =>
    uprightTo(
      frame,
      { role: "jack", id: `jack-${id}-${side}-${number}`, xNm, fromNm: footNm, openingId: id },
      framed.headNm,
    );
  const jacks = Array.from({ length: framed.jacks }, (_, index) => [
    jack("left", index + 1, framed.leftNm - (index + 1) * thicknessNm),
    jack("right", index + 1, framed.rightNm + index * thicknessNm),
  ]).flat();
  return [...kings("left", framed.kingsLeftNm), ...jacks, ...kings("right", framed.kingsRightNm)];
}

const headSpan = (frame: Frame, framed: FramedOpening) => ({
  fromNm: framed.leftNm - framed.jacks * frame.thicknessNm,
  toNm: framed.rightNm + framed.jacks * frame.thicknessNm,
});

function headPieces(frame: Frame, framed: FramedOpening): { pieces: FramingPiece[]; problems: Problem[] } {
  const { fromNm, toNm } = headSpan(frame, framed);
  const spaceNm = lowestUndersideOf(frame, fromNm, toNm) - framed.headNm;
  // An opening that reaches the plates hangs on them: there is no room for a header, and none is framed.
  if (spaceNm <= 0) return { pieces: [], problems: noRoomForHeader(frame, framed) };
  return frame.framing.bearing ? bearingHead(frame, framed, spaceNm) : flatHead(frame, framed, spaceNm);
}

/** Right where the wall carries nothing; where it does, the load over the opening has nothing to lie on. */
function noRoomForHeader(frame: Frame, { opening: { id, name } }: FramedOpening): Problem[] {
  if (!frame.framing.bearing) return [];
  const message = `${name} reaches the plates of a wall that carries load: there is no room for a header, and none is counted. Lower the head, or ask the engineer.`;
  return [problem("no-room-for-header", `openings.${id}`, message)];
}

function bearingHead(frame: Frame, framed: FramedOpening, spaceNm: Nanometres) {
  const { id, name } = framed.opening;
  const path = `openings.${id}`;
  const found = headerFor(frame.rules.headerSchedule, framed.rightNm - framed.leftNm);
  if (!found) return { pieces: [], problems: [problem("no-header", path, `${name}: the header schedule is empty.`)] };
  const { row, beyond } = found;
  const section = ownValue(frame.context.sections, row.sectionId);
  if (!section) {
    const message = `${name}: the header schedule asks for “${row.sectionId}”, which the library lacks.`;
    return { pieces: [], problems: [problem("unknown-section", path, message)] };
  }
  const problems = headerProblems(frame, framed, section, spaceNm, beyond);
  const depthNm = Math.min(section.depthNm, spaceNm);
  const { fromNm, toNm } = headSpan(frame, framed);
  const ply = (role: "header" | "header-packing", number: number, behind: number): FramingPiece => ({
    id: `${role}-${id}-${number}`,
    role,
    sectionId: section.id,
    cutLengthNm: toNm - fromNm,
    openingId: id,
    xNm: fromNm,
    yNm: framed.headNm,
    widthNm: toNm - fromNm,
    heightNm: depthNm,
    ...(behind > 0 ? { behind } : {}),
  });
  const plies = Array.from({ length: row.plies }, (_, index) => ply("header", index + 1, index));
  const packed = frame.framing.headerPacking && row.plies * section.thicknessNm < frame.section.depthNm;
  const packing = packed
    ? Array.from({ length: row.plies - 1 }, (_, index) => ply("header-packing", index + 1, row.plies + index))
    : [];
  return { pieces: [...plies, ...packing, ...cripplesAbove(frame, framed, framed.headNm + depthNm)], problems };
}

function headerProblems(
  frame: Frame,
  framed: FramedOpening,
  section: Section,
  spaceNm: Nanometres,
  beyond: boolean,
): Problem[] {
  const { id, name } = framed.opening;
  const path = `openings.${id}`;
  const say = (nm: Nanometres) => formatLength(nm, frame.context.system);
  const problems: Problem[] = [];
  if (beyond) {
    const message = `${name} is wider than the header schedule goes. Ask the engineer; the last row stands in.`;
    problems.push(problem("beyond-header-schedule", path, message));
  }
  if (section.depthNm > spaceNm) {
    const message = `${name}: a ${section.name} header is ${say(section.depthNm)} deep; there is ${say(spaceNm)} over the opening.`;
    problems.push(problem("header-does-not-fit", path, message));
  }
  return problems;
}

function flatHead(frame: Frame, framed: FramedOpening, spaceNm: Nanometres) {
  const { id } = framed.opening;
  const fitting = Math.min(frame.rules.flatPlates, Math.floor(spaceNm / frame.thicknessNm));
  const plates = Array.from({ length: fitting }, (_, index) =>
    lying(frame, {
      role: "flat-plate",
      id: `flat-plate-${id}-${index + 1}`,
      yNm: framed.headNm + index * frame.thicknessNm,
      ...headSpan(frame, framed),
      openingId: id,
    }),
  );
  const topNm = framed.headNm + fitting * frame.thicknessNm;
  return { pieces: [...plates, ...cripplesAbove(frame, framed, topNm)], problems: [] };
}

/** Layout positions that stand wholly within the opening, clear of its jacks. */
function cripplePlaces(frame: Frame, framed: FramedOpening): Nanometres[] {
  return frame.layoutCentresNm
    .map((centreNm) => centreNm - Math.floor(frame.thicknessNm / 2))
    .filter((xNm) => xNm >= framed.leftNm && xNm + frame.thicknessNm <= framed.rightNm);
}

/** A gap lower than a piece is thick is packed, not framed. */
function cripplesAbove(frame: Frame, framed: FramedOpening, fromNm: Nanometres): FramingPiece[] {
  const { id } = framed.opening;
  return cripplePlaces(frame, framed)
    .filter((xNm) => lowestUndersideOf(frame, xNm, xNm + frame.thicknessNm) - fromNm >= frame.thicknessNm)
    .map((xNm, index) =>
      uprightToPlates(frame, {
        role: "cripple-above",
        id: `cripple-above-${id}-${index + 1}`,
        xNm,
        fromNm,
        openingId: id,
      }),
    );
}

function sillPieces(frame: Frame, framed: FramedOpening): FramingPiece[] {
  if (framed.sillNm === 0) return [];
  const { id } = framed.opening;
  const plies = frame.framing.sillPlies;
  const sills = Array.from({ length: plies }, (_, ply) =>
    lying(frame, {
      role: "sill",
      id: ply === 0 ? `sill-${id}` : `sill-${id}-${ply + 1}`,
      yNm: framed.sillNm - (ply + 1) * frame.thicknessNm,
      fromNm: framed.leftNm,
      toNm: framed.rightNm,
      openingId: id,
    }),
  );
  const undersideOfSillNm = framed.sillNm - plies * frame.thicknessNm;
  if (undersideOfSillNm - frame.footNm < frame.thicknessNm) return sills.filter((sill) => sill.yNm >= frame.footNm);
  const cripples = cripplePlaces(frame, framed).map((xNm, index) =>
    uprightTo(
      frame,
      { role: "cripple-below", id: `cripple-below-${id}-${index + 1}`, xNm, fromNm: frame.footNm, openingId: id },
      undersideOfSillNm,
    ),
  );
  return [...sills, ...cripples];
}

import type { HeaderRow } from "../../assemblies";
import { type Section, sectionOf } from "../../parts";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, type Nanometres } from "../../units";
import type { FramingPiece } from "../piece";
import { type Frame, type FramedOpening, lying, upright } from "./frame";

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
  const { footNm, undersideNm, thicknessNm } = frame;
  const king = (side: string, xNm: Nanometres | undefined) =>
    xNm === undefined ? [] : [upright(frame, "king", `king-${id}-${side}`, xNm, footNm, undersideNm, id)];
  const jacks = Array.from({ length: framed.jacks }, (_, index) => [
    upright(
      frame,
      "jack",
      `jack-${id}-left-${index + 1}`,
      framed.leftNm - (index + 1) * thicknessNm,
      footNm,
      framed.headNm,
      id,
    ),
    upright(
      frame,
      "jack",
      `jack-${id}-right-${index + 1}`,
      framed.rightNm + index * thicknessNm,
      footNm,
      framed.headNm,
      id,
    ),
  ]).flat();
  return [...king("left", framed.kingLeftNm), ...jacks, ...king("right", framed.kingRightNm)];
}

function headPieces(frame: Frame, framed: FramedOpening): { pieces: FramingPiece[]; problems: Problem[] } {
  const spaceNm = frame.undersideNm - framed.headNm;
  // An opening that reaches the plates hangs on them: there is no room for a header, and none is framed.
  if (spaceNm <= 0) return { pieces: [], problems: [] };
  return frame.wall.parameters.bearing.value ? bearingHead(frame, framed, spaceNm) : flatHead(frame, framed, spaceNm);
}

function bearingHead(frame: Frame, framed: FramedOpening, spaceNm: Nanometres) {
  const { id, name } = framed.opening;
  const path = `openings.${id}`;
  const found = headerFor(frame.rules.headerSchedule, framed.rightNm - framed.leftNm);
  if (!found) return { pieces: [], problems: [problem("no-header", path, `${name}: the header schedule is empty.`)] };
  const { row, beyond } = found;
  const section = sectionOf(frame.context.sections, row.sectionId);
  const problems = headerProblems(frame, framed, section, spaceNm, beyond);
  const depthNm = Math.min(section.depthNm, spaceNm);
  const fromNm = framed.leftNm - framed.jacks * frame.thicknessNm;
  const toNm = framed.rightNm + framed.jacks * frame.thicknessNm;
  const plies = Array.from(
    { length: row.plies },
    (_, ply): FramingPiece => ({
      id: `header-${id}-${ply + 1}`,
      role: "header",
      sectionId: section.id,
      cutLengthNm: toNm - fromNm,
      openingId: id,
      xNm: fromNm,
      yNm: framed.headNm,
      widthNm: toNm - fromNm,
      heightNm: depthNm,
    }),
  );
  return { pieces: [...plies, ...cripplesAbove(frame, framed, framed.headNm + depthNm)], problems };
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
  const fromNm = framed.leftNm - framed.jacks * frame.thicknessNm;
  const toNm = framed.rightNm + framed.jacks * frame.thicknessNm;
  const plates = Array.from({ length: fitting }, (_, index) =>
    lying(
      frame,
      "flat-plate",
      `flat-plate-${id}-${index + 1}`,
      framed.headNm + index * frame.thicknessNm,
      fromNm,
      toNm,
      id,
    ),
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
  if (frame.undersideNm - fromNm < frame.thicknessNm) return [];
  const { id } = framed.opening;
  return cripplePlaces(frame, framed).map((xNm, index) =>
    upright(frame, "cripple-above", `cripple-above-${id}-${index + 1}`, xNm, fromNm, frame.undersideNm, id),
  );
}

function sillPieces(frame: Frame, framed: FramedOpening): FramingPiece[] {
  if (framed.sillNm === 0) return [];
  const { id } = framed.opening;
  const undersideOfSillNm = framed.sillNm - frame.thicknessNm;
  const sill = lying(frame, "sill", `sill-${id}`, undersideOfSillNm, framed.leftNm, framed.rightNm, id);
  if (undersideOfSillNm - frame.footNm < frame.thicknessNm) return [sill];
  const cripples = cripplePlaces(frame, framed).map((xNm, index) =>
    upright(frame, "cripple-below", `cripple-below-${id}-${index + 1}`, xNm, frame.footNm, undersideOfSillNm, id),
  );
  return [sill, ...cripples];
}

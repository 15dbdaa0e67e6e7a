import type { FramingPiece, HardwarePiece } from "../../../drawing/piece";
import { type Problem, problem } from "../../../problems/problem";
import { type Nanometres, piecesAtSpacing, spacesIn } from "../../../units";
import { type Frame, lying, undersideOf, uprightToPlates } from "./frame";

/** What stands at corners and meeting walls beyond the end studs. */
export type Junctions = {
  readonly pieces: readonly FramingPiece[];
  readonly clips: readonly HardwarePiece[];
  readonly problems: readonly Problem[];
};

type Place = { readonly id: string; readonly xNm: Nanometres; readonly flat: boolean };

const isFree = (frame: Frame, fromNm: Nanometres, toNm: Nanometres): boolean =>
  fromNm >= 0 &&
  toNm <= frame.lengthNm &&
  !frame.openings.some((opening) => fromNm < opening.outerRightNm && toNm > opening.outerLeftNm);

/**
 * A corner's extra studs stand in the wall that runs through, so that no corner is counted twice: with its own end stud
 * and the other wall's they make two, three or four (common practice). The one beside the end stud lies with its wide
 * face to the room, so that it backs the boards.
 */
function cornerPlaces(frame: Frame, side: "left" | "right"): Place[] {
  if (frame.wall.ends[side] !== "corner-through") return [];
  const { thicknessNm: t, section } = frame;
  const style = frame.framing.cornerStyle;
  if (style === "two-stud") return [];
  const away = style === "four-stud" ? [t, 2 * t] : [t];
  return away.map((fromEndNm, index) => {
    const flat = index === away.length - 1;
    const widthNm = flat ? section.depthNm : t;
    const xNm = side === "left" ? fromEndNm : frame.lengthNm - fromEndNm - widthNm;
    return { id: `corner-${side}-${index + 1}`, xNm, flat };
  });
}

function clipsAt(frame: Frame, side: "left" | "right"): HardwarePiece[] {
  if (frame.wall.ends[side] !== "corner-through" || frame.framing.cornerStyle !== "two-stud") return [];
  const { thicknessNm: t, footNm } = frame;
  const xNm = side === "left" ? t : frame.lengthNm - 2 * t;
  const heightNm = undersideOf(frame, xNm) - footNm;
  const count = piecesAtSpacing(heightNm, frame.rules.clipSpacingNm);
  return Array.from({ length: count }, (_, index) => ({
    id: `clip-${side}-${index + 1}`,
    role: "board-clip" as const,
    xNm,
    yNm: Math.round(footNm + (index * (heightNm - t)) / Math.max(1, count - 1)),
    widthNm: t,
    heightNm: t,
  }));
}

/** One stud behind each face of the meeting wall, so that half of it backs the boards; an end stud there serves. */
function meetingPlaces(frame: Frame): { places: Place[]; problems: Problem[] } {
  const problems: Problem[] = [];
  const { thicknessNm: t, lengthNm } = frame;
  const places = frame.wall.meetings.flatMap(({ positionNm, thicknessNm, withName }, index) => {
    const lefts = [-1, 1].map((side) => positionNm + Math.round((side * thicknessNm) / 2) - Math.floor(t / 2));
    const clear = lefts.filter((xNm) => xNm >= t && xNm + t <= lengthNm - t);
    const free = clear.filter((xNm) => isFree(frame, xNm, xNm + t));
    if (free.length < clear.length) {
      const message = `The wall of ${withName || "the next room"} meets this one at an opening: its backing studs have no room there.`;
      problems.push(problem("meets-at-opening", "meetings", message));
    }
    return free.map((xNm, side) => ({ id: `meeting-${index + 1}-${side + 1}`, xNm, flat: false }));
  });
  return { places, problems };
}

/** Corner and meeting studs, where there is room for them. */
export function junctionStuds(frame: Frame): Junctions {
  const corners = [...cornerPlaces(frame, "left"), ...cornerPlaces(frame, "right")];
  const widthOf = ({ flat }: Place) => (flat ? frame.section.depthNm : frame.thicknessNm);
  const clearOfEnd = (place: Place) =>
    place.xNm >= frame.thicknessNm && place.xNm + widthOf(place) <= frame.lengthNm - frame.thicknessNm;
  const standing = corners.filter((place) => clearOfEnd(place) && isFree(frame, place.xNm, place.xNm + widthOf(place)));
  const problems =
    standing.length === corners.length
      ? []
      : [problem("no-room-for-corner", "ends", "An opening stands so near the corner that its backing has no room.")];
  const ladder = frame.framing.meetingStyle === "ladder";
  const meetings = ladder ? { places: [], problems: [] } : meetingPlaces(frame);
  const cornered = standing.map((place) => stud(frame, "corner-stud", place));
  const met = meetings.places
    .filter(
      (place, index, all) => !all.slice(0, index).some((other) => Math.abs(other.xNm - place.xNm) < frame.thicknessNm),
    )
    .filter(
      ({ xNm }) => !cornered.some((other) => xNm < other.xNm + other.widthNm && xNm + frame.thicknessNm > other.xNm),
    )
    .map((place) => stud(frame, "meeting-stud", place));
  return {
    pieces: [...cornered, ...met],
    clips: [...clipsAt(frame, "left"), ...clipsAt(frame, "right")],
    problems: [...problems, ...meetings.problems],
  };
}

const stud = (frame: Frame, role: "corner-stud" | "meeting-stud", { id, xNm, flat }: Place): FramingPiece =>
  uprightToPlates(frame, { role, id, xNm, fromNm: frame.footNm, ...(flat ? { flat } : {}) });

/**
 * Ladder blocking: short pieces between the studs on both sides of a meeting wall, evenly up it, at most the ladder
 * spacing apart. `uprights` are all that stand from plate to plate.
 */
export function ladderBlocks(
  frame: Frame,
  uprights: readonly FramingPiece[],
): { pieces: FramingPiece[]; problems: Problem[] } {
  if (frame.framing.meetingStyle !== "ladder") return { pieces: [], problems: [] };
  const problems: Problem[] = [];
  // Two walls may meet this one between the same two studs: the blocks there back both.
  const served = new Set<Nanometres>();
  const pieces = frame.wall.meetings.flatMap(({ positionNm, withName }, index) => {
    if (!isFree(frame, positionNm, positionNm)) {
      const message = `The wall of ${withName || "the next room"} meets this one at an opening: its ladder blocking has no room there.`;
      problems.push(problem("meets-at-opening", "meetings", message));
      return [];
    }
    // A stud that stands right there backs one side; the blocks go to the other.
    const middleOf = (piece: FramingPiece) => piece.xNm + piece.widthNm / 2;
    const before = uprights.filter((piece) => middleOf(piece) <= positionNm);
    const after = uprights.filter((piece) => middleOf(piece) > positionNm);
    const fromNm = Math.max(...before.map((piece) => piece.xNm + piece.widthNm));
    const toNm = Math.min(...after.map((piece) => piece.xNm));
    if (!Number.isFinite(fromNm) || !Number.isFinite(toNm) || toNm - fromNm < frame.thicknessNm) return [];
    if (served.has(fromNm)) return [];
    served.add(fromNm);
    const heightNm = Math.min(undersideOf(frame, fromNm), undersideOf(frame, toNm)) - frame.footNm;
    const rows = Math.max(1, spacesIn(heightNm, frame.rules.ladderSpacingNm) - 1);
    return Array.from({ length: rows }, (_, row) =>
      lying(frame, {
        role: "ladder-block",
        id: `ladder-${index + 1}-${row + 1}`,
        yNm: Math.round(frame.footNm + ((row + 1) * heightNm) / (rows + 1) - frame.thicknessNm / 2),
        fromNm,
        toNm,
      }),
    );
  });
  return { pieces, problems };
}

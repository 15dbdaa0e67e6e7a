import { newBase } from "../../parts/base";
import { assumedChoice, assumedDimension, unmeasured } from "../../parts/dimension";
import type { RoomOpening } from "../../parts/opening";
import type { PartContext } from "../../parts/partKind";
import { feet, inches, type MeasuringSystem, millimetres, type Nanometres } from "../../units";
import { OPENING_SIZES } from "../../wall/newOpening";
import { hostLengthNm, openingSpan } from "./hosts";
import { featureSpan, featuresOf } from "./outline";
import type { Drop, Feature, Room, RoomRun } from "./schema";

type Starts = {
  readonly thicknessNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly toleranceNm: Nanometres;
  readonly recess: { readonly widthNm: Nanometres; readonly depthNm: Nanometres };
  readonly step: Nanometres;
};

/** A stud partition boarded on both sides, and the gap that a tape walk may leave: common practice. */
const STARTS: Record<MeasuringSystem, Starts> = {
  imperial: {
    thicknessNm: inches(4.5),
    heightNm: feet(8),
    toleranceNm: inches(1),
    recess: { widthNm: feet(4), depthNm: feet(2) },
    step: inches(1),
  },
  metric: {
    thicknessNm: millimetres(115),
    heightNm: millimetres(2400),
    toleranceNm: millimetres(25),
    recess: { widthNm: millimetres(1200), depthNm: millimetres(600) },
    step: millimetres(10),
  },
};

/** To the right, so that the room lies at the walker's right hand: the way most walks go (common practice). */
export const SQUARE_RIGHT = -90;

export const newRun = (id: string, { system }: PartContext, turnDegrees = SQUARE_RIGHT): RoomRun => ({
  id,
  length: unmeasured,
  turnDegrees: assumedChoice<number>(turnDegrees),
  thickness: assumedDimension(STARTS[system].thicknessNm),
});

/** A new room is a walk at its first wall. */
export function roomDefaults(id: string, name: string, context: PartContext): Room {
  const { heightNm, toleranceNm } = STARTS[context.system];
  return {
    kind: "room",
    schemaVersion: 2,
    ...newBase(id, name),
    runs: [newRun("a", context)],
    finished: false,
    tolerance: { ...assumedDimension(toleranceNm), assumed: false },
    closing: null,
    features: [],
    openings: [],
    ceiling: {
      shape: assumedChoice<Room["ceiling"]["shape"]["value"]>("level"),
      height: assumedDimension(heightNm),
      highHeight: unmeasured,
      pitchDegrees: null,
      fromRunId: "a",
      drops: [],
    },
    place: { how: "free", xNm: 0, yNm: 0, turnDegrees: 0 },
    belongsTo: null,
  };
}

/** A rectangle waits for two figures; the walls opposite are taken to be alike until they are measured. */
export function rectangleDefaults(id: string, name: string, context: PartContext): Room {
  const room = roomDefaults(id, name, context);
  return { ...room, finished: true, runs: ["a", "b", "c", "d"].map((each) => newRun(each, context)) };
}

type Stretch = { readonly startNm: Nanometres; readonly endNm: Nanometres };

/** Stretches of a host with neither opening nor feature in them. */
function freeStretches(room: Room, hostId: string): Stretch[] {
  const lengthNm = hostLengthNm(room, hostId) ?? 0;
  const taken = [
    ...room.openings.filter((opening) => opening.hostId === hostId).map(openingSpan),
    ...featuresOf(room, hostId).map(featureSpan),
  ].toSorted((a, b) => a.startNm - b.startNm);
  const starts = [0, ...taken.map((each) => each.endNm)];
  return starts.map((startNm, index) => ({ startNm, endNm: taken[index]?.startNm ?? lengthNm }));
}

/** The place for something of a width in the middle of the widest free stretch; undefined where there is none. */
function placeFor(room: Room, hostId: string, widthNm: Nanometres, step: Nanometres): Nanometres | undefined {
  const widest = freeStretches(room, hostId).reduce((best, next) =>
    next.endNm - next.startNm > best.endNm - best.startNm ? next : best,
  );
  const spareNm = widest.endNm - widest.startNm - widthNm;
  if (spareNm < 0) return undefined;
  const wholeNm = Math.floor((widest.startNm + spareNm / 2) / step) * step;
  return Math.max(widest.startNm, wholeNm);
}

const OPENING_WORDS: Record<RoomOpening["kind"], string> = {
  door: "Door",
  window: "Window",
  plain: "Opening",
  arch: "Archway",
};

/** A new opening in a wall, sized by default, all assumed. Undefined when the wall is unmeasured or full. */
export function newRoomOpening(
  room: Room,
  hostId: string,
  kind: RoomOpening["kind"],
  id: string,
  { system }: PartContext,
): RoomOpening | undefined {
  const size = OPENING_SIZES[system][kind === "arch" ? "plain" : kind];
  if (hostLengthNm(room, hostId) === null) return undefined;
  const positionNm = placeFor(room, hostId, size.widthNm, STARTS[system].step);
  if (positionNm === undefined) return undefined;
  const number = room.openings.filter((opening) => opening.kind === kind).length + 1;
  return {
    id,
    kind,
    hostId,
    name: `${OPENING_WORDS[kind]} ${number}`,
    measuredAs: "rough",
    width: assumedDimension(size.widthNm),
    height: assumedDimension(size.heightNm),
    sill: assumedDimension(size.sillNm),
    position: assumedDimension(positionNm),
    rise: kind === "arch" ? assumedDimension(Math.round(size.widthNm / 4)) : { ...assumedDimension(0), assumed: false },
  };
}

/** A recess goes out through the wall, a bump comes in; both of a usual size in the middle of the wall, all assumed. */
export function newFeature(
  room: Room,
  runId: string,
  kind: Feature["kind"],
  id: string,
  { system }: PartContext,
): Feature | undefined {
  const { recess, step, thicknessNm } = STARTS[system];
  const runNm = hostLengthNm(room, runId);
  if (runNm === null) return undefined;
  const widthNm = Math.min(recess.widthNm, Math.floor(runNm / 2 / step) * step);
  const aroundNm = kind === "bump" ? 2 * thicknessNm : 0;
  const positionNm = placeFor(room, runId, widthNm + aroundNm, step);
  if (positionNm === undefined || widthNm <= 0) return undefined;
  const number = room.features.filter((feature) => feature.kind === kind).length + 1;
  return {
    id,
    runId,
    kind,
    name: `${kind === "recess" ? "Recess" : "Bump"} ${number}`,
    position: assumedDimension(positionNm),
    width: assumedDimension(widthNm),
    depth: assumedDimension(recess.depthNm),
    thickness: assumedDimension(thicknessNm),
  };
}

/** A bulkhead along a wall, or a tray up into the ceiling; its figures are for the tape. */
export const newDrop = (room: Room, kind: Drop["kind"], id: string): Drop => ({
  id,
  kind,
  name: `${kind === "bulkhead" ? "Bulkhead" : "Tray"} ${room.ceiling.drops.filter((drop) => drop.kind === kind).length + 1}`,
  length: unmeasured,
  width: unmeasured,
  depth: unmeasured,
});

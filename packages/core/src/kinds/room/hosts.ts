import { changeById } from "../../parts/figures";
import type { RoomOpening } from "../../parts/opening";
import type { Surroundings } from "../../parts/partKind";
import type { Nanometres } from "../../units";
import type { Feature, Room } from "./schema";

/** What an opening can be in: a run, or the back of a recess or the front of a bump. */
export type Host = { readonly id: string; readonly name: string; readonly lengthNm: Nanometres | null };

const backLengthNm = ({ kind, width, thickness }: Feature): Nanometres | null =>
  width.valueNm === null ? null : width.valueNm + (kind === "bump" ? 2 * (thickness.valueNm ?? 0) : 0);

export const hostsOf = (room: Room, nameOfRun: (room: Room, runId: string) => string): readonly Host[] => [
  ...room.runs.map((run) => ({ id: run.id, name: nameOfRun(room, run.id), lengthNm: run.length.valueNm })),
  ...room.features.map((feature) => ({ id: feature.id, name: feature.name, lengthNm: backLengthNm(feature) })),
];

export function hostLengthNm(room: Room, hostId: string): Nanometres | null {
  const run = room.runs.find((each) => each.id === hostId);
  if (run) return run.length.valueNm;
  const feature = room.features.find((each) => each.id === hostId);
  return feature ? backLengthNm(feature) : null;
}

/** A room with the thickness of the wall it shares put in. */
export function withSharedThickness(room: Room, { sharedThickness }: Surroundings): Room {
  if (!sharedThickness) return room;
  const { runId, thickness } = sharedThickness;
  return { ...room, runs: changeById(room.runs, runId, (run) => ({ ...run, thickness })) };
}

/** From the start of its host to its near and far side. */
export const openingSpan = ({ position, width }: RoomOpening): { startNm: Nanometres; endNm: Nanometres } => ({
  startNm: position.valueNm ?? 0,
  endNm: (position.valueNm ?? 0) + (width.valueNm ?? 0),
});

import type { Polygon } from "../../geometry";
import type { RoomOpening, SharedOpening } from "../../parts/opening";
import type { Measure } from "../../parts/partKind";
import type { MeasureWorking } from "../../parts/working";
import type { MeasuringSystem } from "../../units";
import type { CeilingPlanes } from "./ceiling";
import type { Face, RoomOutline } from "./outline";
import type { Room } from "./schema";

/** A room that closes, with all that its measures stand on. */
export type Measured = {
  readonly room: Room;
  readonly system: MeasuringSystem;
  readonly outline: RoomOutline;
  readonly polygon: Polygon;
  /** Nothing while no height is known. */
  readonly planes: CeilingPlanes | undefined;
  readonly openings: readonly (RoomOpening | SharedOpening)[];
};

export const measure = (
  id: string,
  name: string,
  text: string,
  working: MeasureWorking,
  shapeIds: readonly string[],
  of = "",
): Measure => ({ id, name, of, text, working, shapeIds });

export const sumOf = <T>(items: readonly T[], value: (item: T) => number): number =>
  items.reduce((sum, item) => sum + value(item), 0);

export const FLOOR = ["floor"];
export const idsOf = (faces: readonly Face[]): string[] => faces.map((face) => face.id);

export const nameOfOpening = (opening: RoomOpening | SharedOpening): string =>
  "sharedFrom" in opening ? `${opening.name}, from ${opening.sharedFrom.roomName}` : opening.name;

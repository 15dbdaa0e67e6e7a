import type { PlanDrawing } from "../../drawing/drawing";
import { boundsOf } from "../../geometry";
import type { PartKind } from "../../parts/partKind";
import { roomFigures, withRoomFigure } from "./angles";
import { roomDefaults } from "./defaults";
import { roomDimensions, withDimension, withRefused } from "./dimensions";
import { drawRoom } from "./draw";
import { roomMeasures } from "./measures";
import { roomMigrations } from "./migrations";
import { runName } from "./names";
import { roomOpenPoints } from "./openPoints";
import { outlineOf } from "./outline";
import { roomProblems } from "./problems";
import { ROOM_QUANTITIES, ROOM_ROWS, roomQuantities, roomRows } from "./quantities";
import { type Room, roomSchema } from "./schema";

export const roomKind: PartKind<Room, PlanDrawing> = {
  kind: "room",
  label: "Room",
  plural: "Rooms",
  schema: roomSchema,
  migrations: roomMigrations,
  defaults: roomDefaults,
  measures: roomMeasures,
  order: 0,
  // Two hundred runs, with an opening in most.
  mostBytes: 256 * 1024,
  nameOfItem: (room, id) =>
    room.runs.some((run) => run.id === id)
      ? runName(room, id)
      : [...room.features, ...room.openings, ...room.ceiling.drops].find((each) => each.id === id)?.name,
  rows: ROOM_ROWS,
  rowsOf: roomRows,
  roles: [],
  functions: [],
  quantityNames: ROOM_QUANTITIES,
  quantities: roomQuantities,
  outline: (room) => {
    const bounds = boundsOf(outlineOf(room).corners);
    if (!bounds) return { xNm: 0, yNm: 0, widthNm: 0, heightNm: 0 };
    const { min, max } = bounds;
    return { xNm: min.xNm, yNm: min.yNm, widthNm: max.xNm - min.xNm, heightNm: max.yNm - min.yNm };
  },
  draw: drawRoom,
  problems: roomProblems,
  openPoints: roomOpenPoints,
  dimensions: roomDimensions,
  withDimension,
  withRefused,
  figures: roomFigures,
  withFigure: withRoomFigure,
  withReferences: (room, renamed) => ({
    ...room,
    belongsTo: room.belongsTo === null ? null : renamed(room.belongsTo),
    place: room.place.how === "joined" ? { ...room.place, toRoomId: renamed(room.place.toRoomId) } : room.place,
  }),
};

export * from "./builtWalls";
export * from "./ceiling";
export * from "./corners";
export * from "./defaults";
export { roomDimensions } from "./dimensions";
export { openingQuad } from "./draw";
export * from "./edit";
export * from "./explainGap";
export * from "./hosts";
export * from "./names";
export * from "./openings";
export { walkPoint } from "./openPoints";
export * from "./outline";
export * from "./schema";
export * from "./walk";

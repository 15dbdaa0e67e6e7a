import { perimeterNm, polygonArea } from "../../geometry";
import type { Surroundings } from "../../parts/partKind";
import {
  areaQuantity,
  countQuantity,
  lengthQuantity,
  type Quantity,
  type QuantityValues,
  type RowsOfPart,
  type RowValues,
  volumeQuantity,
} from "../../parts/quantity";
import { toMetres } from "../../units";
import { openingRow, WALL_ROWS } from "../../wall/quantities";
import { ceilingPlanes, dropSideArea, dropVolume, slopedArea, volumeUnder, wallAreaUnder } from "./ceiling";
import { cornersOf } from "./corners";
import { withSharedThickness } from "./hosts";
import { sumOf } from "./measured";
import { openingArea, reachesFloor } from "./openings";
import { outlineOf } from "./outline";
import type { Room } from "./schema";

/** What formulas can say of a room. */
export const ROOM_QUANTITIES: readonly Quantity[] = [
  areaQuantity("floorArea", "Floor area"),
  lengthQuantity("perimeter", "Perimeter"),
  lengthQuantity("netPerimeter", "Net perimeter"),
  lengthQuantity("height", "Ceiling height", "ceiling.height"),
  areaQuantity("wallArea", "Wall area"),
  areaQuantity("netWallArea", "Wall area less openings"),
  areaQuantity("ceilingArea", "Ceiling area"),
  volumeQuantity("volume", "Volume"),
  countQuantity("corners", "Corners"),
  countQuantity("outsideCorners", "Outside corners"),
  countQuantity("openings", "Openings"),
  countQuantity("doors", "Doors"),
  countQuantity("windows", "Windows"),
];

/** Nothing until its walk closes; what hangs on the height once there is one. */
export function roomQuantities(entered: Room, around: Surroundings): QuantityValues {
  const room = withSharedThickness(entered, around);
  const outline = outlineOf(room);
  const { polygon, faces } = outline;
  if (!polygon) return {};
  const openings = [...room.openings, ...around.sharedOpenings];
  const wholeNm = Math.round(perimeterNm(polygon));
  const doorwaysNm = sumOf(openings.filter(reachesFloor), (opening) => opening.width.valueNm ?? 0);
  const corners = cornersOf(polygon).filter((corner) => Math.abs(corner.insideDegrees - 180) > 1);
  const kinds = (kind: string) => openings.filter((opening) => opening.kind === kind).length;
  const flat = {
    floorArea: polygonArea(polygon),
    perimeter: toMetres(wholeNm),
    netPerimeter: toMetres(wholeNm - doorwaysNm),
    corners: corners.length,
    outsideCorners: corners.filter((corner) => corner.insideDegrees > 180).length,
    openings: openings.length,
    doors: kinds("door"),
    windows: kinds("window"),
  };
  const planes = ceilingPlanes(room, outline);
  if (!planes) return flat;
  const gross = sumOf(faces, (face) => wallAreaUnder(face.from, face.to, planes));
  return {
    ...flat,
    height: toMetres(room.ceiling.height.valueNm ?? 0),
    wallArea: gross,
    netWallArea: gross - sumOf(openings, openingArea),
    ceilingArea: slopedArea(polygonArea(polygon), planes.slope) + sumOf(room.ceiling.drops, dropSideArea),
    volume: volumeUnder(polygon, planes) + sumOf(room.ceiling.drops, dropVolume),
  };
}

/** What formulas can say of each opening of a room, and of each wall round it. */
export const ROOM_ROWS: readonly RowsOfPart[] = [
  ...WALL_ROWS,
  {
    name: "walls",
    label: "Walls",
    columns: [lengthQuantity("length", "Length"), areaQuantity("area", "Area, openings not taken off")],
  },
];

/** Openings of neighbours in shared walls are among its own. Walls have an area once there is a height. */
export function roomRows(entered: Room, around: Surroundings): Readonly<Record<string, readonly RowValues[]>> {
  const room = withSharedThickness(entered, around);
  const outline = outlineOf(room);
  const planes = ceilingPlanes(room, outline);
  return {
    openings: [...room.openings, ...around.sharedOpenings].map((opening) => ({
      ...openingRow(opening),
      area: openingArea(opening),
    })),
    walls: outline.faces.map(({ from, to }) => ({
      length: toMetres(Math.round(Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm))),
      area: planes ? wallAreaUnder(from, to, planes) : 0,
    })),
  };
}

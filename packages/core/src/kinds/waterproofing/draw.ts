import type { DrawnDimension, DrawnRectangle, ElevationDrawing } from "../../drawing/drawing";
import { noDrawing } from "../../parts/looseDrawing";
import type { PartContext } from "../../parts/partKind";
import { formatLength, metres, millimetres, type Nanometres } from "../../units";
import { dryAmounts } from "./amounts";
import { waterproofingChoicesOf } from "./parameters";
import type { Waterproofing } from "./schema";

const WALL = millimetres(250);
const FLOOR = millimetres(150);
const SHOWN = millimetres(1400);
const SHEET = millimetres(16);
const STUD = millimetres(24);
const CHANNEL = { wide: millimetres(120), high: millimetres(70) };
const SUMP = { wide: millimetres(320), deep: millimetres(420) };
/** Where the height of the walls is not known it is drawn so high. */
const USUAL_HEIGHT = metres(2.4);
const PLUG_EVERY = millimetres(300);

const box = (
  id: string,
  role: string,
  tone: string,
  xNm: Nanometres,
  yNm: Nanometres,
  widthNm: Nanometres,
  heightNm: Nanometres,
): DrawnRectangle => ({ id, role, tone, xNm, yNm, widthNm, heightNm });

/** The foot of a wall and the edge of the floor cut through: what is not chosen is not there. */
export function drawWaterproofing(
  part: Waterproofing,
  { system }: PartContext,
): ElevationDrawing | ReturnType<typeof noDrawing> {
  const amounts = dryAmounts(part);
  if (!amounts) return noDrawing();
  const choices = waterproofingChoicesOf(part, system);
  const highNm = amounts.wallHeight > 0 ? metres(amounts.wallHeight) : USUAL_HEIGHT;
  const shownNm = Math.min(highNm, millimetres(1800));
  const wallsBy = amounts.wallArea > 0 ? choices.wallsBy : "none";
  const floorBy = amounts.floorArea > 0 ? choices.floorBy : "none";
  const floored = amounts.floorArea > 0;
  const belowNm = (part.sumps > 0 ? SUMP.deep : 0) + FLOOR;
  const floorTop = belowNm;
  const rectangles: DrawnRectangle[] = [
    box("wall", "dry-wall", "block", 0, floorTop - FLOOR, WALL, shownNm + FLOOR),
    ...(floored ? [box("floor", "dry-floor", "concrete", WALL, floorTop - FLOOR, SHOWN, FLOOR)] : []),
  ];
  const faceNm = WALL;
  if (wallsBy === "membrane") {
    rectangles.push(box("wall-membrane", "wall-membrane", "damp-course", faceNm + STUD, floorTop, SHEET, shownNm));
    for (let y = floorTop + PLUG_EVERY / 2; y < floorTop + shownNm; y += PLUG_EVERY)
      rectangles.push(box(`plug-${y}`, "dry-plug", "steel", faceNm - STUD * 2, y, STUD * 3 + SHEET, SHEET));
  }
  if (wallsBy === "slurry")
    rectangles.push(box("wall-slurry", "wall-slurry", "screed", faceNm, floorTop, SHEET, shownNm));
  const onFloor: [string, string, Nanometres][] = [];
  if (floorBy === "membrane") onFloor.push(["floor-membrane", "damp-course", SHEET]);
  if (floorBy === "slurry") onFloor.push(["floor-slurry", "screed", SHEET]);
  if (floored && choices.floorInsulation > 0) onFloor.push(["floor-insulation", "insulation", choices.floorInsulation]);
  let layerAt = floorTop;
  for (const [id, tone, thick] of onFloor) {
    rectangles.push(box(id, id, tone, faceNm + CHANNEL.wide, layerAt, SHOWN - CHANNEL.wide, thick));
    layerAt += thick;
  }
  if (floored && choices.channel && amounts.channelLength > 0)
    rectangles.push(box("channel", "dry-channel", "steel", faceNm, floorTop, CHANNEL.wide, CHANNEL.high));
  if (part.sumps > 0)
    rectangles.push(
      box(
        "sump",
        "dry-sump",
        "lintel",
        WALL + SHOWN - SUMP.wide - millimetres(100),
        floorTop - FLOOR - SUMP.deep,
        SUMP.wide,
        SUMP.deep + FLOOR,
      ),
    );
  const dimensions: DrawnDimension[] = [];
  if (part.roomId === "" && amounts.wallHeight > 0)
    dimensions.push({
      id: "wallHeight",
      path: "wallHeight",
      direction: "up",
      fromNm: floorTop,
      toNm: floorTop + shownNm,
      row: 1,
      text: formatLength(highNm, system),
    });
  return { kind: "elevation", widthNm: WALL + SHOWN, heightNm: floorTop + shownNm, rectangles, dimensions };
}

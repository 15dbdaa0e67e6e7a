import type { Opening } from "../parts/opening";
import {
  areaQuantity,
  choiceQuantity,
  countQuantity,
  lengthQuantity,
  type Quantity,
  type QuantityValues,
  type RowsOfPart,
  type RowValues,
} from "../parts/quantity";
import { areaOf, toMetres } from "../units";
import { grossAreaOf, openingAreaOf } from "./measures";
import { profileOf, runOf } from "./profile";
import type { Wall } from "./schema";

/** What formulas can say of a wall, drawn or by its totals. */
export const WALL_QUANTITIES: readonly Quantity[] = [
  lengthQuantity("length", "Length", "length"),
  lengthQuantity("height", "Height", "height"),
  lengthQuantity("topRun", "Along the top, up its slopes"),
  areaQuantity("area", "Area"),
  areaQuantity("openingArea", "Area of openings"),
  areaQuantity("netArea", "Area less openings"),
  countQuantity("openings", "Openings"),
  countQuantity("doors", "Doors"),
  countQuantity("windows", "Windows"),
  lengthQuantity("openingWidths", "Widths of openings added up"),
  lengthQuantity("casingRun", "Heads and sides of openings added up"),
  countQuantity("corners", "Corners"),
  countQuantity("meetings", "Meeting walls"),
];

const isCorner = (end: Wall["ends"]["left"]): boolean => end === "corner-through" || end === "corner-butts";

export function wallQuantities(wall: Wall): QuantityValues {
  const lengthNm = wall.length.valueNm;
  if (lengthNm === null) return {};
  const area = grossAreaOf(wall);
  const openingArea = openingAreaOf(wall);
  let [widthsNm, roundNm, doors, windows] = [0, 0, 0, 0];
  for (const { width, height, kind } of wall.openings) {
    widthsNm += width.valueNm ?? 0;
    roundNm += runRoundNm(width, height);
    if (kind === "door") doors += 1;
    if (kind === "window") windows += 1;
  }
  return {
    length: toMetres(lengthNm),
    height: toMetres(wall.height.valueNm ?? 0),
    topRun: toMetres(runOf(profileOf(wall))),
    area,
    openingArea,
    netArea: area - openingArea,
    openings: wall.openings.length,
    doors,
    windows,
    openingWidths: toMetres(widthsNm),
    casingRun: toMetres(roundNm),
    corners: Number(isCorner(wall.ends.left)) + Number(isCorner(wall.ends.right)),
    meetings: wall.meetings.length,
  };
}

/** Head and both sides. */
const runRoundNm = (width: Opening["width"], height: Opening["height"]): number =>
  (width.valueNm ?? 0) + 2 * (height.valueNm ?? 0);

/** What formulas can say of each opening of a wall, as it is built. */
export const WALL_ROWS: readonly RowsOfPart[] = [
  {
    name: "openings",
    label: "Openings",
    columns: [
      lengthQuantity("width", "Width"),
      lengthQuantity("height", "Height"),
      lengthQuantity("sill", "Sill height"),
      lengthQuantity("head", "Head height"),
      areaQuantity("area", "Area"),
      choiceQuantity("kind", "Door, window or plain"),
    ],
  },
];

type Sized = Pick<Opening, "width" | "height" | "sill"> & { readonly kind: string };

export function openingRow({ kind, width, height, sill }: Sized): RowValues {
  const [widthNm, heightNm, sillNm] = [width.valueNm ?? 0, height.valueNm ?? 0, sill.valueNm ?? 0];
  return {
    width: toMetres(widthNm),
    height: toMetres(heightNm),
    sill: toMetres(sillNm),
    head: toMetres(sillNm + heightNm),
    area: areaOf(widthNm, heightNm),
    kind,
  };
}

export const wallRows = (wall: Wall): Readonly<Record<string, readonly RowValues[]>> => ({
  openings: wall.openings.map(openingRow),
});

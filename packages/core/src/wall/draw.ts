import type { DrawnDimension, ElevationDrawing } from "../drawing/drawing";
import type { Point } from "../geometry/point";
import type { Rectangle } from "../geometry/rectangle";
import type { Opening } from "../parts/opening";
import type { PartContext } from "../parts/partKind";
import { feet, formatLength } from "../units";
import { highestOf, profileOf } from "../wall/profile";
import { fromLeft, openingLeft, openingRight } from "./openings";
import type { Wall } from "./schema";

/** A wall nobody has measured is drawn this long, with no figure on it. */
const UNMEASURED_LENGTH_NM = feet(10);

export const wallOutline = (wall: Wall): Rectangle => ({
  xNm: 0,
  yNm: 0,
  widthNm: wall.length.valueNm ?? UNMEASURED_LENGTH_NM,
  heightNm: wall.length.valueNm === null ? (wall.height.valueNm ?? 0) : highestOf(profileOf(wall)),
});

export const openingRectangle = (opening: Opening): Rectangle => ({
  xNm: openingLeft(opening),
  yNm: opening.sill.valueNm ?? 0,
  widthNm: opening.width.valueNm ?? 0,
  heightNm: opening.height.valueNm ?? 0,
});

/** The wall as measured: outline, openings, and the chain of figures a builder reads along its foot. */
export function drawWall(wall: Wall, context: PartContext): ElevationDrawing {
  const outline = wallOutline(wall);
  return {
    kind: "elevation",
    widthNm: outline.widthNm,
    heightNm: outline.heightNm,
    rectangles: [
      { ...outline, ...slopedOutline(wall), id: "outline", role: "outline" },
      ...wall.openings.map((opening) => ({ ...openingRectangle(opening), id: opening.id, role: "opening" as const })),
    ],
    dimensions: [...wallDimensions(wall, outline, context), ...openingChain(wall, context)],
  };
}

/** The corners of a wall that is not level; nothing for a rectangle. */
function slopedOutline(wall: Wall): { points?: readonly Point[] } {
  if (wall.shape.how === "level" || wall.length.valueNm === null) return {};
  const foot = [
    { xNm: wall.length.valueNm, yNm: 0 },
    { xNm: 0, yNm: 0 },
  ];
  return { points: [...profileOf(wall), ...foot] };
}

function wallDimensions(wall: Wall, outline: Rectangle, context: PartContext): DrawnDimension[] {
  const { valueNm } = wall.length;
  const lengthText = valueNm === null ? "length?" : formatLength(valueNm, context.system);
  const heightNm = wall.height.valueNm ?? 0;
  const heightText = formatLength(heightNm, context.system);
  return [
    { id: "length", path: "length", direction: "along", fromNm: 0, toNm: outline.widthNm, row: 2, text: lengthText },
    { id: "height", path: "height", direction: "up", fromNm: 0, toNm: heightNm, row: 1, text: heightText },
  ];
}

function openingChain(wall: Wall, context: PartContext): DrawnDimension[] {
  const openings = fromLeft(wall);
  if (openings.length === 0 || wall.length.valueNm === null) return [];
  const say = (fromNm: number, toNm: number) => formatLength(toNm - fromNm, context.system);
  const chain = openings.flatMap((opening, index): DrawnDimension[] => {
    const before = openings[index - 1];
    const fromNm = before ? openingRight(before) : 0;
    const left = openingLeft(opening);
    const right = openingRight(opening);
    const gapPath = before || opening.along !== "from-left" ? {} : { path: `openings.${opening.id}.position` };
    return [
      { id: `gap-${opening.id}`, ...gapPath, direction: "along", fromNm, toNm: left, row: 1, text: say(fromNm, left) },
      {
        id: `width-${opening.id}`,
        path: `openings.${opening.id}.width`,
        direction: "along",
        fromNm: left,
        toNm: right,
        row: 1,
        text: say(left, right),
      },
    ];
  });
  const last = openings[openings.length - 1];
  const endNm = wall.length.valueNm;
  if (!last) return chain;
  const fromNm = openingRight(last);
  return [...chain, { id: "gap-end", direction: "along", fromNm, toNm: endNm, row: 1, text: say(fromNm, endNm) }];
}

import { masonryWallKind } from "../../kinds/masonry-wall";
import { pierKind } from "../../kinds/pier";
import { studWallKind } from "../../kinds/stud-wall";
import { feet, inches, metres, millimetres } from "../../units";
import type { Wall } from "../../wall";
import { openingOf, wallOf } from "../library";
import { masonryOf, pierOf } from "../masonry";
import { measured } from "./said";
import { sampled } from "./sampled";

/** A wall seen from its other side: what is left is right. */
function turned<W extends Wall>(wall: W): W {
  const lengthNm = wall.length.valueNm ?? 0;
  return {
    ...wall,
    ends: { left: wall.ends.right, right: wall.ends.left },
    openings: wall.openings.map((opening) => ({
      ...opening,
      position: measured(lengthNm - (opening.position.valueNm ?? 0) - (opening.width.valueNm ?? 0)),
    })),
  };
}
const thrice = <W extends Wall>(wall: W): W => ({ ...wall, repeats: 3 });
const window = (positionNm: number, widthNm: number, sillNm: number, heightNm: number) =>
  openingOf("window", "w", { positionNm, widthNm, sillNm, heightNm });
const cavity = masonryOf("metric", {
  lengthNm: metres(6.3),
  heightNm: metres(2.4),
  assemblyId: "cavity-wall",
  openings: [window(metres(1), metres(1.2), millimetres(900), millimetres(1050))],
});

/** Walls of studs and of masonry, and piers. */
export const walls = [
  sampled(studWallKind, [
    {
      system: "imperial",
      part: wallOf("imperial", {
        lengthNm: feet(16),
        heightNm: inches(97.125),
        bearing: true,
        sheathed: true,
        openings: [window(feet(3), feet(3), inches(34), feet(4))],
      }),
      mirrored: (wall) => ({
        ...turned(wall),
        choices: { ...wall.choices, layoutFrom: "right" as const },
      }),
      thrice,
    },
  ]),
  sampled(masonryWallKind, [
    {
      system: "metric",
      part: cavity,
      mirrored: (wall) => ({ ...turned(wall), choices: { ...wall.choices, layFrom: "right" } }),
      thrice,
    },
    {
      system: "imperial",
      part: masonryOf("imperial", {
        lengthNm: feet(20),
        heightNm: feet(8),
        assemblyId: "block-wall",
        openings: [window(feet(4), feet(4), feet(2), feet(4))],
        choices: { reinforceEvery: 2 },
      }),
      thrice,
    },
    {
      system: "metric",
      part: masonryOf("metric", { lengthNm: metres(4.2), heightNm: metres(1.9), assemblyId: "stone-wall" }),
      thrice,
    },
  ]),
  sampled(pierKind, [
    {
      system: "imperial",
      part: pierOf("imperial", [inches(32), inches(32), feet(6)], { hollow: true }),
      thrice: (pier) => ({ ...pier, count: 3 }),
    },
  ]),
];

import type { FunctionSignature } from "../../parts/functionSignature";
import { AREA, COUNT } from "../../units";

/** What formulas can ask of a wall's frame and sheets, beyond its pieces. */
export const STUD_WALL_FUNCTIONS: readonly FunctionSignature[] = [
  {
    name: "sheets",
    takes: ["sheet-role"],
    gives: COUNT,
    says: "whole sheets that these are cut from",
    example: 'sheets("sheathing")',
    told: ({ roles }) => `whole sheets of ${roles}`,
  },
  {
    name: "cover",
    takes: ["sheet-role"],
    gives: AREA,
    says: "the area these sheets cover as laid out",
    example: 'cover("sheathing")',
    told: ({ roles }) => `area of ${roles}`,
  },
  {
    name: "sheetFixings",
    takes: ["sheet-role", "length", "length"],
    gives: COUNT,
    says: "fixings round the edges and on the studs inside, each at most so far apart",
    example: 'sheetFixings("sheathing", , )',
    told: ({ roles }) => `fixings in ${roles}`,
  },
  {
    name: "frameArea",
    takes: [],
    gives: AREA,
    says: "the face of the frame, which insulation does not fill",
    example: "frameArea( )",
    told: () => "face of the frame",
  },
  {
    name: "lapped",
    takes: ["length", "length"],
    gives: AREA,
    says: "the area of a roll so wide, laid up the wall in courses that lap so much",
    example: "lapped( , )",
    told: () => "area of the lapped courses",
  },
];

import type { FunctionSignature } from "../parts/functionSignature";
import { AREA, COUNT, MASS, VOLUME } from "../units";

const text = (argument: string): string => argument.replaceAll('"', "");

/** What formulas can ask of what lies in the ground. */
export const GROUND_FUNCTIONS: readonly FunctionSignature[] = [
  {
    name: "volume",
    takes: ["roles"],
    gives: VOLUME,
    says: "the volume of these as they lie",
    example: 'volume("fill")',
    told: ({ roles }) => `volume of ${roles}`,
  },
  {
    name: "surface",
    takes: ["roles"],
    gives: AREA,
    says: "the area of these on plan, or of the faces that are boarded",
    example: 'surface("blinding")',
    told: ({ roles }) => `area of ${roles}`,
  },
  {
    name: "barMass",
    takes: ["roles"],
    gives: MASS,
    says: "what these bars weigh, by the mass of their size",
    example: 'barMass("main-bar")',
    told: ({ roles }) => `mass of ${roles}`,
  },
  {
    name: "lappedUnder",
    takes: ["length", "length", "length"],
    gives: AREA,
    says: "the area of a roll so wide, lapped so much under the slab and turned up so far round it",
    example: "lappedUnder( , , )",
    told: ({ argument }) => `rolls lapped by ${text(argument(1))} under the slab`,
    lights: () => ["ground-membrane"],
  },
  {
    name: "sheets",
    takes: ["sheet-role"],
    gives: COUNT,
    says: "whole sheets that these are cut from",
    example: 'sheets("mesh")',
    told: ({ roles }) => `whole sheets of ${roles}`,
  },
  {
    name: "cover",
    takes: ["sheet-role"],
    gives: AREA,
    says: "the area these sheets cover as laid out, laps counted twice",
    example: 'cover("mesh")',
    told: ({ roles }) => `area of ${roles}`,
  },
  {
    name: "meshSheetArea",
    takes: [],
    gives: AREA,
    says: "the area of one sheet of mesh as it is sold",
    example: "meshSheetArea( )",
    told: () => "area of a sheet of mesh",
  },
];

import type { FunctionSignature } from "../../parts/functionSignature";
import { AREA, COUNT, LENGTH, VOLUME } from "../../units";

const ofLeaf = (leaf: string): readonly string[] => ["unit", "half", "cut", "header"].map((what) => `${leaf}-${what}`);

/** What formulas can ask of masonry; a leaf is "outer" (the only one is outer) or "inner". */
export const MASONRY_FUNCTIONS: readonly FunctionSignature[] = [
  {
    name: "units",
    takes: ["leaf"],
    gives: COUNT,
    says: "units of a leaf to buy, laid out or by area as the wall is counted; a half leaves the other half",
    example: 'units("outer")',
    told: ({ argument }) => `units of the ${argument(0).replaceAll('"', "")} leaf`,
    lights: ([leaf = ""]) => ofLeaf(leaf),
  },
  {
    name: "unitsByArea",
    takes: ["leaf"],
    gives: COUNT,
    says: "units of a leaf by its area less openings, whatever way is in force",
    example: 'unitsByArea("outer")',
    told: ({ argument }) => `units of the ${argument(0).replaceAll('"', "")} leaf by area`,
  },
  {
    name: "unitsLaidOut",
    takes: ["leaf"],
    gives: COUNT,
    says: "units of a leaf as laid out, whatever way is in force",
    example: 'unitsLaidOut("outer")',
    told: ({ argument }) => `units of the ${argument(0).replaceAll('"', "")} leaf laid out`,
  },
  {
    name: "leafArea",
    takes: ["leaf"],
    gives: AREA,
    says: "area of a leaf less openings, on its own length",
    example: 'leafArea("outer")',
    told: ({ argument }) => `area of the ${argument(0).replaceAll('"', "")} leaf`,
  },
  {
    name: "mortar",
    takes: ["leaf"],
    gives: VOLUME,
    says: "wet mortar of a leaf: its volume less its units",
    example: 'mortar("outer")',
    told: ({ argument }) => `mortar of the ${argument(0).replaceAll('"', "")} leaf`,
  },
  {
    name: "hearting",
    takes: [],
    gives: VOLUME,
    says: "what fills a stone wall between its two faces",
    example: "hearting( )",
    told: () => "hearting between the faces",
  },
  {
    name: "rakingCut",
    takes: [],
    gives: LENGTH,
    says: "length of slope that units are cut along",
    example: "rakingCut( )",
    told: () => "length of raking cut",
  },
  {
    name: "stones",
    takes: [],
    gives: COUNT,
    says: "stones in the faces of a stone wall, by area",
    example: "stones( )",
    told: () => "stones in the faces",
    lights: () => ["stone"],
  },
];

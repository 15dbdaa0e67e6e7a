import { type RoleTone, roleOf } from "@wide-porch/core";

/**
 * The colours of the notebook, as red-green-blue. `global.css` carries the same as custom properties for the classes;
 * a test keeps the two alike and checks their contrast. Timber tones are used inside drawings only.
 */
export const LIGHT = {
  paper: "247 243 234",
  sheet: "255 253 247",
  ink: "29 27 22",
  faint: "88 83 72",
  rule: "214 206 188",
  pine: "27 77 57",
  "pine-ink": "255 253 247",
  "pine-wash": "226 235 226",
  clay: "146 58 24",
  "clay-wash": "247 228 214",
  wall: "122 113 96",
} as const;

export type ColourName = keyof typeof LIGHT;

export const DARK: Record<ColourName, string> = {
  paper: "26 25 22",
  sheet: "36 34 29",
  ink: "243 238 226",
  faint: "190 183 168",
  rule: "74 69 60",
  pine: "140 201 168",
  "pine-ink": "16 36 26",
  "pine-wash": "38 58 47",
  clay: "236 165 130",
  "clay-wash": "68 42 30",
  wall: "142 134 117",
};

/** What pieces are drawn in, by what they are made of and do; edges of all of them alike. */
export const TONES: Record<RoleTone | "edge", string> = {
  plate: "#c89b5e",
  treated: "#9aa06a",
  stud: "#e6c894",
  king: "#d3a96d",
  jack: "#dcb880",
  corner: "#cfa25f",
  cripple: "#eed7af",
  header: "#a8713a",
  packing: "#b98a58",
  sill: "#bd8b4b",
  sheathing: "#f1e6cc",
  board: "#ece9e2",
  metal: "#4a4a46",
  brick: "#b9674a",
  block: "#b8b4aa",
  stone: "#a39c8c",
  lintel: "#6f6a5f",
  insulation: "#e9dfa3",
  "damp-course": "#3f4a55",
  concrete: "#c9c7c0",
  screed: "#dcd8cc",
  sand: "#e3d3a0",
  fill: "#b3a791",
  earth: "#a5835c",
  steel: "#3f4650",
  edge: "#5c3f1c",
};

/** The tone of a placed piece's role; of an unknown one, a stud's. */
export const toneOf = (role: string, own?: string): string =>
  own !== undefined && own in TONES ? TONES[own as RoleTone] : TONES[roleOf(role)?.tone ?? "stud"];

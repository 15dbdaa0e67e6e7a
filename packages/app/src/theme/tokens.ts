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

const PLATE = "#c89b5e";
const CRIPPLE = "#eed7af";

/** By what a shape stands for. */
export const TIMBER = {
  "bottom-plate": PLATE,
  "treated-plate": "#9aa06a",
  "top-plate": PLATE,
  "cap-plate": PLATE,
  "flat-plate": PLATE,
  stud: "#e6c894",
  king: "#d3a96d",
  jack: "#dcb880",
  "cripple-above": CRIPPLE,
  "cripple-below": CRIPPLE,
  header: "#a8713a",
  "header-packing": "#b98a58",
  "corner-stud": "#cfa25f",
  "meeting-stud": "#cfa25f",
  "ladder-block": CRIPPLE,
  blocking: CRIPPLE,
  sill: "#bd8b4b",
  sheathing: "#f1e6cc",
  "board-near": "#ece9e2",
  "board-far": "#ece9e2",
  "anchor-bolt": "#4a4a46",
  "hold-down": "#4a4a46",
  "board-clip": "#4a4a46",
  edge: "#5c3f1c",
} as const;

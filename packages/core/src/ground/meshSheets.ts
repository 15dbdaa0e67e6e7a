import { feet, metres, type Nanometres } from "../units";

export type MeshSheet = { readonly words: string; readonly lengthNm: Nanometres; readonly widthNm: Nanometres };

/** What mesh comes in: common practice. A roll is cut like a long sheet. */
export const MESH_SHEETS = {
  "sheet-4.8x2.4": { words: "Sheets 4.8 × 2.4 m", lengthNm: metres(4.8), widthNm: metres(2.4) },
  "sheet-3.6x2.0": { words: "Sheets 3.6 × 2.0 m", lengthNm: metres(3.6), widthNm: metres(2) },
  "sheet-5x10": { words: "Sheets 5 × 10 ft", lengthNm: feet(10), widthNm: feet(5) },
  "sheet-8x20": { words: "Sheets 8 × 20 ft", lengthNm: feet(20), widthNm: feet(8) },
  "roll-5x150": { words: "Rolls 5 × 150 ft", lengthNm: feet(150), widthNm: feet(5) },
} as const satisfies Readonly<Record<string, MeshSheet>>;

export const MESH_SHEET_IDS = ["sheet-4.8x2.4", "sheet-3.6x2.0", "sheet-5x10", "sheet-8x20", "roll-5x150"] as const;
export type MeshSheetId = (typeof MESH_SHEET_IDS)[number];

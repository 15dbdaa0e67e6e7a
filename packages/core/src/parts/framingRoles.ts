/** The sticks a stud wall is framed with. */
export const FRAMING_ROLES = [
  "bottom-plate",
  "treated-plate",
  "top-plate",
  "cap-plate",
  "stud",
  "corner-stud",
  "meeting-stud",
  "ladder-block",
  "king",
  "jack",
  "header",
  "header-packing",
  "flat-plate",
  "sill",
  "cripple-above",
  "cripple-below",
  "blocking",
] as const;
export type FramingRole = (typeof FRAMING_ROLES)[number];

/** What is laid over the frame in sheets. */
export const SHEET_ROLES = ["sheathing", "board-near", "board-far"] as const;
export type SheetRole = (typeof SHEET_ROLES)[number];

/** Single pieces of hardware, placed and counted. */
export const HARDWARE_ROLES = ["anchor-bolt", "hold-down", "board-clip"] as const;
export type HardwareRole = (typeof HARDWARE_ROLES)[number];

export const PIECE_ROLES = [...FRAMING_ROLES, ...SHEET_ROLES, ...HARDWARE_ROLES] as const;
export type PieceRole = (typeof PIECE_ROLES)[number];

const KNOWN: ReadonlySet<string> = new Set(PIECE_ROLES);
export const isPieceRole = (text: string): text is PieceRole => KNOWN.has(text);

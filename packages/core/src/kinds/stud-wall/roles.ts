import type { Role, RoleTone } from "../../parts/role";

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

type WallRole = FramingRole | SheetRole | HardwareRole;

const stick = (words: string, tone: RoleTone, group: string, mark: string) =>
  ({ words, form: "stick", tone, group, mark }) as const;
const sheet = (words: string, tone: RoleTone, group: string) => ({ words, form: "sheet", tone, group }) as const;
const hardware = (words: string) => ({ words, form: "hardware", tone: "metal", group: "Hardware" }) as const;

const BY_ROLE: Record<WallRole, Omit<Role, "id">> = {
  "bottom-plate": stick("bottom plates", "plate", "Plates", "BP"),
  "treated-plate": stick("treated plates", "treated", "Plates", "TB"),
  "top-plate": stick("top plates", "plate", "Plates", "TP"),
  "cap-plate": stick("cap plates", "plate", "Plates", "CP"),
  stud: stick("studs", "stud", "Studs", "S"),
  "corner-stud": stick("corner studs", "corner", "Studs", "C"),
  "meeting-stud": stick("meeting studs", "corner", "Studs", "M"),
  "ladder-block": stick("ladder blocks", "cripple", "Small framing", "L"),
  king: stick("kings", "king", "Studs", "K"),
  jack: stick("jacks", "jack", "Studs", "J"),
  header: stick("headers", "header", "Headers", "H"),
  "header-packing": stick("header packing", "packing", "Headers", "HP"),
  "flat-plate": stick("flat plates", "plate", "Headers", "FP"),
  sill: stick("sills", "sill", "Small framing", "SL"),
  "cripple-above": stick("cripples above", "cripple", "Small framing", "CA"),
  "cripple-below": stick("cripples below", "cripple", "Small framing", "CB"),
  blocking: stick("blocking", "cripple", "Small framing", "B"),
  sheathing: sheet("sheathing", "sheathing", "Sheathing"),
  "board-near": sheet("boards on this side", "board", "Boards"),
  "board-far": sheet("boards on the far side", "board", "Boards"),
  "anchor-bolt": hardware("anchor bolts"),
  "hold-down": hardware("hold downs"),
  "board-clip": hardware("board clips"),
};

/** Everything that is placed in a stud wall, from the plates up. */
export const STUD_WALL_ROLES: readonly Role[] = [...FRAMING_ROLES, ...SHEET_ROLES, ...HARDWARE_ROLES].map((id) => ({
  id,
  ...BY_ROLE[id],
}));

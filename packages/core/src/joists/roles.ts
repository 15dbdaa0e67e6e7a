import { type Role, stickRole as stick } from "../parts/role";

const metal = (id: string, words: string, group: string): Role => ({
  id,
  words,
  form: "hardware",
  tone: "metal",
  group,
});

const JOISTS = "Joists";
const OPENINGS = "Openings in floors";
const LADDERS = "End ladders";
const BEAMS = "Beams and posts";
const HARDWARE = "Hangers and straps";

/** What is placed of joists, and of what carries and stiffens them. */
export const JOIST_ROLES: readonly Role[] = [
  stick("joist", "joists", "stud", JOISTS, "FJ"),
  stick("edge-joist", "edge joists", "king", JOISTS, "EJ"),
  stick("doubled-joist", "joists doubled under walls", "king", JOISTS, "DJ"),
  stick("trimmer-joist", "trimmer joists", "king", OPENINGS, "TJS"),
  stick("tail-joist", "tail joists", "cripple", OPENINGS, "TL"),
  stick("floor-header", "headers of floor openings", "header", OPENINGS, "FH"),
  stick("rim-joist", "rim joists", "plate", JOISTS, "RJ"),
  stick("joist-ledger", "ledgers of joists", "treated", JOISTS, "JL"),
  stick("floor-block", "blocks between joists", "packing", "Blocking", "FB"),
  stick("strap-nogging", "noggings under straps", "packing", "Blocking", "SN"),
  stick("ladder-joist", "outer joists of end ladders", "king", LADDERS, "LJ"),
  stick("ladder-nogging", "noggings of end ladders", "packing", LADDERS, "LN"),
  stick("roof-nogging", "noggings across the joists", "packing", "Blocking", "NG"),
  stick("firring", "firrings", "sill", "Firrings", "F"),
  stick("roof-plate", "wall plates of a flat roof", "plate", JOISTS, "WP"),
  stick("floor-beam", "beams", "header", BEAMS, "BM"),
  stick("floor-post", "posts", "jack", BEAMS, "P"),
  metal("strut-pair", "pairs of struts", "Blocking"),
  metal("joist-hanger", "joist hangers", HARDWARE),
  metal("double-hanger", "hangers of doubled joists and headers", HARDWARE),
  metal("wall-hanger", "hangers on walls", HARDWARE),
  metal("wall-strap", "straps to walls", HARDWARE),
  metal("joist-splice", "splices of joists", HARDWARE),
  metal("post-cap", "post caps", BEAMS),
  metal("floor-hold-down", "hold-downs", HARDWARE),
  metal("floor-strap", "straps at places", HARDWARE),
  metal("post-base", "post bases", BEAMS),
  { id: "floor-panel", words: "floor panels", form: "sheet", tone: "sheathing", group: "Floor panels" },
];

/** Joists of any kind that lie from bearing to bearing or from header to bearing. */
export const ALL_JOISTS = ["joist", "edge-joist", "doubled-joist", "trimmer-joist", "tail-joist"] as const;
export type JoistRole = (typeof ALL_JOISTS)[number];

import { type Role, stickRole as stick } from "../../parts/role";

const RAFTERS = "Rafters";
const TRUSSES = "Trusses";
const RIDGES = "Ridges, hips, valleys";

/** What is placed in a pitched roof. */
export const ROOF_ROLES: readonly Role[] = [
  stick("common-rafter", "common rafters", "stud", RAFTERS, "R"),
  stick("hip-jack", "hip jacks", "jack", RAFTERS, "HJ"),
  stick("valley-jack", "valley jacks", "cripple", RAFTERS, "VJ"),
  stick("cripple-jack", "cripple jacks", "cripple", RAFTERS, "CJ"),
  stick("trimmed-rafter", "trimmed rafters", "cripple", RAFTERS, "TR"),
  stick("trimmer-rafter", "trimmer rafters", "king", RAFTERS, "TM"),
  stick("rafter-header", "headers of openings", "header", "Dormers and openings", "RH"),
  stick("dormer-stud", "dormer studs", "stud", "Dormers and openings", "DS"),
  stick("dormer-plate", "dormer plates", "plate", "Dormers and openings", "DP"),
  stick("gable-stud", "gable studs", "stud", "Gables", "GS"),
  stick("gable-plate", "gable plates", "plate", "Gables", "GP"),
  stick("ridge", "ridges", "header", RIDGES, "RB"),
  stick("hip-rafter", "hip rafters", "king", RIDGES, "HR"),
  stick("valley-rafter", "valley rafters", "king", RIDGES, "VR"),
  stick("valley-board", "valley boards on another roof", "king", RIDGES, "VB"),
  stick("ledger", "ledgers on walls", "header", RIDGES, "LG"),
  stick("ceiling-joist", "ceiling joists", "plate", "Ties", "J"),
  stick("collar-tie", "collar ties", "packing", "Ties", "CT"),
  stick("truss-common", "common trusses", "stud", TRUSSES, "T"),
  stick("truss-gable", "gable trusses", "king", TRUSSES, "TG"),
  stick("truss-hip", "hip trusses", "jack", TRUSSES, "TH"),
  stick("truss-girder", "girder trusses", "header", TRUSSES, "GT"),
  stick("truss-valley", "valley trusses", "cripple", TRUSSES, "TV"),
  stick("truss-mono", "mono trusses", "stud", TRUSSES, "MT"),
  stick("truss-jack", "jack trusses", "jack", TRUSSES, "TJ"),
  stick("truss-corner", "corner trusses", "king", TRUSSES, "TC"),
  stick("purlin", "purlins", "plate", "Ties", "PU"),
  stick("purlin-strut", "struts of purlins", "stud", "Ties", "PS"),
  { id: "roof-panel", words: "roof panels", form: "sheet", tone: "sheathing", group: "Sheathing" },
  stick("barge-rafter", "barge rafters", "sill", "Overhangs", "BR"),
  stick("lookout", "lookouts", "sill", "Overhangs", "LO"),
];

/** Rafters of any kind, from the longest to those that are cut short at both ends. */
export const RAFTER_ROLES = [
  "common-rafter",
  "hip-jack",
  "valley-jack",
  "cripple-jack",
  "trimmed-rafter",
  "trimmer-rafter",
] as const;
export type RafterRole = (typeof RAFTER_ROLES)[number];

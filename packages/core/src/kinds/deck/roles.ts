import { JOIST_ROLES } from "../../joists/roles";
import { type Role, stickRole as stick } from "../../parts/role";

const BOARDS = "Deck boards";
const GUARD = "Guard";
const STAIRS = "Deck stairs";

/** What is placed of a deck beside its joists and what carries them. */
export const DECK_ROLES: readonly Role[] = [
  ...JOIST_ROLES,
  stick("deck-board", "deck boards", "cripple", BOARDS, "DB"),
  stick("frame-board", "boards of the picture frame", "cripple", BOARDS, "PF"),
  stick("frame-block", "blocks under the picture frame", "packing", BOARDS, "PB"),
  stick("guard-post", "guard posts", "jack", GUARD, "GP"),
  stick("guard-rail", "rails of the guard", "plate", GUARD, "GR"),
  stick("baluster", "balusters", "cripple", GUARD, "BA"),
  stick("stringer", "stringers", "header", STAIRS, "SR"),
  stick("stair-tread", "treads", "cripple", STAIRS, "TR"),
  stick("stair-riser", "riser boards", "sill", STAIRS, "RB"),
  stick("stair-post", "posts of stairs", "jack", STAIRS, "SP"),
  stick("stair-rail", "rails of stairs", "plate", STAIRS, "SL"),
  stick("stair-baluster", "balusters of stairs", "cripple", STAIRS, "SB"),
  stick("handrail", "handrails", "plate", STAIRS, "HR"),
];

/** What lies over the joists, and is seen through on a plan. */
export const OVER_JOISTS: ReadonlySet<string> = new Set(["deck-board", "frame-board", "stair-tread", "stair-riser"]);

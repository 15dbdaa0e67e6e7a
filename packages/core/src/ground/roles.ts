import type { Role } from "../parts/role";

const layer = (id: string, words: string, tone: Role["tone"], group: string): Role => ({
  id,
  words,
  form: "layer",
  tone,
  group,
});
const bar = (id: string, words: string): Role => ({ id, words, form: "stick", tone: "steel", group: "Reinforcement" });

const CONCRETE = "Concrete";
const LAYERS = "Layers in the ground";
const DIG = "Digging";

/** What is poured, spread, dug and tied in the ground. */
export const GROUND_ROLES: readonly Role[] = [
  layer("slab-concrete", "concrete of the slab", "concrete", CONCRETE),
  layer("edge-beam", "edge beams below the slab", "concrete", CONCRETE),
  layer("rib", "ribs below the slab", "concrete", CONCRETE),
  layer("toe", "the toe", "concrete", CONCRETE),
  layer("footing-concrete", "concrete of the footing", "concrete", CONCRETE),
  layer("stem-wall", "the stem wall", "concrete", CONCRETE),
  layer("pad-concrete", "concrete of the pads", "concrete", CONCRETE),
  layer("screed", "screed", "screed", LAYERS),
  layer("ground-insulation", "insulation under the slab", "insulation", LAYERS),
  layer("ground-membrane", "membrane under the slab", "damp-course", LAYERS),
  layer("blinding", "blinding", "sand", LAYERS),
  layer("fill", "fill", "fill", LAYERS),
  layer("dig", "ground dug out", "earth", DIG),
  layer("backfill", "ground filled in again", "earth", DIG),
  layer("formwork", "formwork", "board", "Formwork"),
  bar("footing-bar", "bars along the footing"),
  bar("footing-cross-bar", "bars across the footing"),
  bar("stem-upright", "uprights of the stem wall"),
  bar("stem-bar", "bars along the stem wall"),
  bar("pad-bar", "bars of the pads"),
  bar("pad-upright", "upright bars of the pads"),
  { id: "anchor", words: "anchor bolts", form: "hardware", tone: "steel", group: "Reinforcement" },
  bar("main-bar", "main bars"),
  bar("link", "links"),
  bar("toe-bar", "bars along the toe"),
  bar("toe-cross-bar", "bars across the toe"),
  { id: "mesh", words: "mesh", form: "sheet", tone: "steel", group: "Reinforcement" },
  { id: "chair", words: "chairs", form: "hardware", tone: "steel", group: "Reinforcement" },
  bar("chair-row", "rows of chairs"),
];

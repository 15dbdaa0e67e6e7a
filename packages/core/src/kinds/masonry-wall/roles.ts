import type { Role } from "../../parts/role";

export const LEAVES = ["outer", "inner"] as const;
export type Leaf = (typeof LEAVES)[number];

const courses = (leaf: Leaf): Role[] => {
  const group = leaf === "outer" ? "Outer leaf" : "Inner leaf";
  const tone = leaf === "outer" ? "brick" : "block";
  return [
    { id: `${leaf}-unit`, words: `whole units of the ${leaf} leaf`, form: "course", tone, group },
    { id: `${leaf}-half`, words: `halves of the ${leaf} leaf`, form: "course", tone, group },
    { id: `${leaf}-cut`, words: `cut units of the ${leaf} leaf`, form: "course", tone, group },
    { id: `${leaf}-header`, words: `headers of the ${leaf} leaf`, form: "course", tone, group },
  ];
};

const piece = (id: string, words: string, tone: Role["tone"], group: string): Role => ({
  id,
  words,
  form: "hardware",
  tone,
  group,
});

/** What is placed in a wall or a pier of masonry. */
export const MASONRY_ROLES: readonly Role[] = [
  ...LEAVES.flatMap(courses),
  { id: "outer-soldier", words: "units on end over openings", form: "course", tone: "brick", group: "Outer leaf" },
  { id: "stone", words: "stone", form: "course", tone: "stone", group: "Outer leaf" },
  piece("lintel", "lintels", "lintel", "Lintels"),
  piece("wall-tie", "wall ties", "metal", "Ties"),
  piece("weep-hole", "weep holes", "metal", "Ties"),
  piece("damp-course", "damp-proof course", "damp-course", "Damp-proof course"),
  piece("bed-reinforcement", "bed reinforcement", "metal", "Ties"),
  piece("movement-joint", "movement joints", "damp-course", "Ties"),
  piece("cavity-closer", "cavity closers", "insulation", "Insulation"),
];

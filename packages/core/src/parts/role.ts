/** How a piece of a role is made: cut from lengths or from sheets, bought as it is, laid in courses, or poured, spread or dug out. */
export type RoleForm = "stick" | "sheet" | "hardware" | "course" | "layer";

/** What renderers colour alike. */
export type RoleTone =
  | "plate"
  | "treated"
  | "stud"
  | "king"
  | "jack"
  | "corner"
  | "cripple"
  | "header"
  | "packing"
  | "sill"
  | "sheathing"
  | "board"
  | "metal"
  | "brick"
  | "block"
  | "stone"
  | "lintel"
  | "insulation"
  | "damp-course"
  | "concrete"
  | "screed"
  | "sand"
  | "fill"
  | "earth"
  | "steel";

/** What placed pieces of a part can be. Each kind of part has its own; the ids are one name for one thing over all kinds. */
export type Role = {
  readonly id: string;
  /** What several of them are called: `corner studs`. */
  readonly words: string;
  readonly form: RoleForm;
  readonly tone: RoleTone;
  /** What is shown and hidden together. */
  readonly group: string;
  /** One or two letters, as they are chalked on the piece; nothing for what nobody marks. */
  readonly mark?: string;
};

/** A role of what is cut from lengths. */
export const stickRole = (id: string, words: string, tone: RoleTone, group: string, mark: string): Role => ({
  id,
  words,
  form: "stick",
  tone,
  group,
  mark,
});

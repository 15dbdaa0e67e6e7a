/** The sticks a stud wall is framed with. */
export const FRAMING_ROLES = [
  "bottom-plate",
  "top-plate",
  "cap-plate",
  "stud",
  "king",
  "jack",
  "header",
  "flat-plate",
  "sill",
  "cripple-above",
  "cripple-below",
] as const;
export type FramingRole = (typeof FRAMING_ROLES)[number];

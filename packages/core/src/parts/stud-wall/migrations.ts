import type { Migration } from "../../migrations/migrate";

export const studWallMigrations: readonly Migration[] = [
  {
    // Notes and photos on every part; walls that stand on a plan, with corners and meeting walls known from it.
    to: 2,
    up: (wall) => ({
      ...wall,
      storey: wall.storey === "" ? "Ground" : wall.storey,
      notes: "",
      photos: [],
      plan: null,
      ends: { left: "free", right: "free" },
      meetings: [],
    }),
  },
];

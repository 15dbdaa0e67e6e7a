import { recordsOf } from "../../migrations/fields";
import type { Migration } from "../../migrations/migrate";

export const roomMigrations: readonly Migration[] = [
  {
    // Openings by unit size.
    to: 2,
    name: "unit-sizes",
    up: (room) => ({
      ...room,
      openings: recordsOf(room.openings).map((each) => ({ ...each, measuredAs: "rough" })),
    }),
  },
];

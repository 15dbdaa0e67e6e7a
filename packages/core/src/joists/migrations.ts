import type { Migration } from "../migrations/migrate";

/** Of parts of joists from before anything stood on them at places of its own. */
export const joistMigrations: readonly Migration[] = [
  { to: 2, name: "things-at-places", up: (part) => ({ ...part, spots: [] }) },
];

import type { Migration } from "../../migrations/migrate";

/** Version 1 is the first; add `{ to: 2, up: … }` here when the schema's literal moves on. */
export const studWallMigrations: readonly Migration[] = [];

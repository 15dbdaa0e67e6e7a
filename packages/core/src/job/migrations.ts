import type { Migration } from "../migrations/migrate";

/** Version 1 is the first. */
export const jobMigrations: readonly Migration[] = [];

import { jobMigrations, jobSchema, kindOf, migrate, type Part, partSchema } from "@wide-porch/core";
import type { QueryRunner } from "typeorm";

const parsed = (data: unknown): unknown => (typeof data === "string" ? JSON.parse(data) : data);

/** Parts, or their earlier versions, brought up to date. Throws for one that cannot be: the migration then did not happen. */
export async function liftParts(runner: QueryRunner, table: "part" | "part_version"): Promise<void> {
  const rows: { id: string | number; data: unknown }[] = await runner.query(`SELECT id, data FROM ${table}`);
  for (const row of rows) {
    const stored = parsed(row.data);
    // Read by its kind alone; the schema checks the rest.
    const lifted = migrate(stored, kindOf(stored as Part).migrations);
    if (!lifted.ok) throw new Error(`${table} ${row.id}: ${lifted.problem.message}`);
    const data = JSON.stringify(partSchema.parse(lifted.value));
    await runner.query(`UPDATE ${table} SET data = ? WHERE id = ?`, [data, row.id]);
  }
}

export async function liftJobs(runner: QueryRunner): Promise<void> {
  const rows: { id: string; data: unknown }[] = await runner.query("SELECT id, data FROM job");
  for (const row of rows) {
    const lifted = migrate(parsed(row.data), jobMigrations);
    if (!lifted.ok) throw new Error(`job ${row.id}: ${lifted.problem.message}`);
    const data = JSON.stringify(jobSchema.parse(lifted.value));
    await runner.query("UPDATE job SET data = ? WHERE id = ?", [data, row.id]);
  }
}

import type { QueryRunner } from "typeorm";
import { z } from "zod";

/**
 * What a migration brought to companies that were there before it: kept as it was then, in a file beside this one, so that a
 * database of any age ends up with the same whatever the starters of today say. Records are of the versions of then; they are
 * lifted when they are read, as all are.
 */
export type Brought = {
  readonly assemblies: readonly Versioned[];
  readonly standards: readonly Versioned[];
  readonly priceItems: readonly { readonly code: string }[];
  readonly tasks: readonly Task[];
};

type Versioned = { readonly system: string; readonly id: string; readonly version: number };
type Task = { readonly id: string };
type Settings = { readonly pricing: { readonly tasks: readonly Task[] } };

/** What is read of them here, whatever their version. */
const settingsSchema = z.looseObject({ pricing: z.looseObject({ tasks: z.array(z.looseObject({ id: z.string() })) }) });

/** Columns of JSON come back as objects or as text, by how the driver was asked for them. Throws for what cannot be read, by its company. */
function read(companyId: string, stored: unknown): Settings {
  const found = settingsSchema.safeParse(typeof stored === "string" ? JSON.parse(stored) : stored);
  if (found.success) return found.data;
  throw new Error(`bring: the settings of company ${companyId} cannot be read: ${z.prettifyError(found.error)}`);
}

async function addVersioned(runner: QueryRunner, table: string, companyId: string, each: Versioned): Promise<void> {
  await runner.query(
    `INSERT IGNORE INTO ${table} (companyId, system, id, version, data, createdAt) VALUES (?, ?, ?, ?, ?, NOW(3))`,
    [companyId, each.system, each.id, each.version, JSON.stringify(each)],
  );
}

/** What companies have under the same name stays theirs; it can be done again, where it was broken off. */
export async function bring(runner: QueryRunner, { assemblies, standards, priceItems, tasks }: Brought): Promise<void> {
  const companies: { id: string; settings: unknown }[] = await runner.query("SELECT id, settings FROM company");
  for (const { id, settings } of companies) {
    for (const each of assemblies) await addVersioned(runner, "assembly", id, each);
    for (const each of standards) await addVersioned(runner, "house_standard", id, each);
    for (const item of priceItems) {
      await runner.query("INSERT IGNORE INTO price_item (companyId, code, revision, data) VALUES (?, ?, 1, ?)", [
        id,
        item.code,
        JSON.stringify(item),
      ]);
    }
    if (tasks.length > 0) await addTasks(runner, id, read(id, settings), tasks);
  }
}

async function addTasks(runner: QueryRunner, companyId: string, settings: Settings, tasks: readonly Task[]) {
  const known = new Set(settings.pricing.tasks.map(({ id }) => id));
  const added = tasks.filter(({ id }) => !known.has(id));
  if (added.length === 0) return;
  const pricing = { ...settings.pricing, tasks: [...settings.pricing.tasks, ...added] };
  await runner.query("UPDATE company SET settings = ? WHERE id = ?", [
    JSON.stringify({ ...settings, pricing }),
    companyId,
  ]);
}

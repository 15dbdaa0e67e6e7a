import { starterAssemblies, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import type { QueryRunner } from "typeorm";

type Task = { readonly id: string };
type Settings = { readonly pricing: { readonly tasks: readonly Task[] } };

/** Columns of JSON come back as objects or as text, by how the driver was asked for them. */
const read = (settings: unknown): Settings =>
  (typeof settings === "string" ? JSON.parse(settings) : settings) as Settings;

/**
 * All that a new company starts with, for companies from before it was there: assemblies, items of the price list, tasks. What they have under the
 * same name stays theirs; it can be done again.
 */
export async function addStarters(runner: QueryRunner): Promise<void> {
  const companies: { id: string; settings: unknown }[] = await runner.query("SELECT id, settings FROM company");
  for (const { id, settings } of companies) {
    for (const each of starterAssemblies) {
      await runner.query(
        "INSERT IGNORE INTO assembly (companyId, system, id, version, data, createdAt) VALUES (?, ?, ?, ?, ?, NOW(3))",
        [id, each.system, each.id, each.version, JSON.stringify(each)],
      );
    }
    for (const item of starterPriceList) {
      await runner.query("INSERT IGNORE INTO price_item (companyId, code, revision, data) VALUES (?, ?, 1, ?)", [
        id,
        item.code,
        JSON.stringify(item),
      ]);
    }
    await addTasks(runner, id, read(settings));
  }
}

async function addTasks(runner: QueryRunner, companyId: string, settings: Settings): Promise<void> {
  const known = new Set(settings.pricing.tasks.map(({ id }) => id));
  const added = starterCompanySettings.pricing.tasks.filter(({ id }) => !known.has(id));
  if (added.length === 0) return;
  const pricing = { ...settings.pricing, tasks: [...settings.pricing.tasks, ...added] };
  await runner.query("UPDATE company SET settings = ? WHERE id = ?", [
    JSON.stringify({ ...settings, pricing }),
    companyId,
  ]);
}

import { starterAssemblies, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import type { QueryRunner } from "typeorm";
import { z } from "zod";

type Task = { readonly id: string };
type Settings = { readonly pricing: { readonly tasks: readonly Task[] } };

/** What is read of them here, whatever their version. */
const settingsSchema = z.looseObject({ pricing: z.looseObject({ tasks: z.array(z.looseObject({ id: z.string() })) }) });

/** Columns of JSON come back as objects or as text, by how the driver was asked for them. Throws for what cannot be read, by its company. */
function read(companyId: string, stored: unknown): Settings {
  const found = settingsSchema.safeParse(typeof stored === "string" ? JSON.parse(stored) : stored);
  if (found.success) return found.data;
  throw new Error(`addStarters: the settings of company ${companyId} cannot be read: ${z.prettifyError(found.error)}`);
}

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
    await addTasks(runner, id, read(id, settings));
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

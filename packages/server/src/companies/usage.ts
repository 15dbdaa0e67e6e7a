import type { DataSource, EntityManager } from "typeorm";
import { z } from "zod";
import type { Quotas } from "../config";
import { HttpProblem } from "../http/problemDetails";

type Source = DataSource | EntityManager;

const ofSchema = z.object({ used: z.number(), most: z.number() });
export const usageSchema = z
  .object({ jobs: ofSchema, items: ofSchema, photos: ofSchema, photoBytes: ofSchema })
  .meta({ id: "Usage" });
export type Usage = z.infer<typeof usageSchema>;

/** Each is answered by an index alone. */
const COUNTS: Readonly<Record<keyof Quotas, string>> = {
  jobs: "SELECT COUNT(*) AS used FROM job WHERE companyId = ?",
  items: "SELECT COUNT(*) AS used FROM price_item WHERE companyId = ?",
  photos: "SELECT COUNT(*) AS used FROM photo WHERE companyId = ?",
  photoBytes: "SELECT COALESCE(SUM(byteLength), 0) AS used FROM photo WHERE companyId = ?",
};

async function usedOf(source: Source, companyId: string, what: keyof Quotas): Promise<number> {
  const [row] = await source.query(COUNTS[what], [companyId]);
  return Number(row?.used ?? 0);
}

/** How much a company keeps, beside how much it may. */
export async function usageOf(source: Source, companyId: string, quotas: Quotas): Promise<Usage> {
  const of = async (what: keyof Quotas) => ({ used: await usedOf(source, companyId, what), most: quotas[what] });
  return {
    jobs: await of("jobs"),
    items: await of("items"),
    photos: await of("photos"),
    photoBytes: await of("photoBytes"),
  };
}

const WORDS: Readonly<Record<keyof Quotas, (most: number) => string>> = {
  jobs: (most) =>
    `A company keeps at most ${most.toLocaleString("en")} jobs. Delete some that are of no more use first.`,
  items: (most) => `A company keeps at most ${most.toLocaleString("en")} items in its price list.`,
  photos: (most) =>
    `A company keeps at most ${most.toLocaleString("en")} photos. Delete jobs that are of no more use first.`,
  photoBytes: (most) =>
    `A company's photos take at most ${Math.round(most / 1e6).toLocaleString("en")} MB. Delete jobs that are of no more use first.`,
};

/** Throws 422 where so much more would be more than a company may keep. */
export async function requireQuota(
  source: Source,
  companyId: string,
  quotas: Quotas,
  what: keyof Quotas,
  more: number,
): Promise<void> {
  const most = quotas[what];
  if ((await usedOf(source, companyId, what)) + more <= most) return;
  const message = WORDS[what](most);
  throw new HttpProblem(422, { detail: message, problems: [{ code: "no-room", path: "", message }] });
}

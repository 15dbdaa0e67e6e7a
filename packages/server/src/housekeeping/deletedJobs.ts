import type { DataSource } from "typeorm";
import { BIN_DAYS } from "../jobs/store";
import type { PictureStore } from "../pictures/pictureStore";

const MOST_AT_ONCE = 50;

type Due = { readonly id: string; readonly companyId: string };

/** Deleted long ago: gone for good with their parts, photos and quotes, which is written into the company's log. Resolves to how many. */
export async function endDeletedJobs(dataSource: DataSource, pictures?: PictureStore): Promise<number> {
  const due: Due[] = await dataSource.query(
    "SELECT id, companyId FROM job WHERE binnedAt < UTC_TIMESTAMP() - INTERVAL ? DAY LIMIT ?",
    [BIN_DAYS, MOST_AT_ONCE],
  );
  for (const job of due) await endJob(dataSource, job, pictures);
  return due.length;
}

async function endJob(dataSource: DataSource, { id, companyId }: Due, pictures?: PictureStore): Promise<void> {
  const photos: { id: string }[] = await dataSource.query("SELECT id FROM photo WHERE companyId = ? AND jobId = ?", [
    companyId,
    id,
  ]);
  // Before their rows: a picture whose row is gone is found by nobody any more.
  for (const photo of photos) await pictures?.remove(companyId, photo.id);
  await dataSource.transaction("READ COMMITTED", async (manager) => {
    await manager.query(
      `INSERT INTO event (companyId, at, what, userId, who, place, device, about)
       SELECT companyId, UTC_TIMESTAMP(3), 'job-gone', NULL, '', '', '', LEFT(COALESCE(JSON_VALUE(data, '$.title'), id), 300)
       FROM job WHERE id = ?`,
      [id],
    );
    await manager.query("DELETE FROM job_total WHERE jobId = ?", [id]);
    // With it go its parts, their versions, its photos and its quotes.
    await manager.query("DELETE FROM job WHERE id = ? AND companyId = ?", [id, companyId]);
  });
}

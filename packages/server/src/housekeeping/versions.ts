import type { DataSource } from "typeorm";

/** Versions of its parts that a job keeps whole; of one that has more the older ones are thinned. */
export const MOST_VERSIONS = 1000;
const MOST_JOBS = 50;
/** Only what changed of late can have grown. */
const LATE_DAYS = 3;

/** Jobs with more versions than are kept whole. */
const GROWN = `SELECT part_version.jobId AS id FROM job JOIN part_version ON part_version.companyId = job.companyId AND part_version.jobId = job.id
  WHERE job.updatedAt > UTC_TIMESTAMP() - INTERVAL ${LATE_DAYS} DAY GROUP BY part_version.jobId HAVING COUNT(*) > ? LIMIT ${MOST_JOBS}`;

/**
 * What goes: of a day before today all but the last of each part, saved, binned and set aside each by itself; but for the version that each
 * issued quote was made from.
 */
const THIN = `DELETE FROM part_version WHERE id IN (
  SELECT id FROM (
    SELECT id, partId, ROW_NUMBER() OVER (PARTITION BY partId, how, DATE(at) ORDER BY id DESC) AS fromLast
    FROM part_version WHERE jobId = ? AND at < UTC_DATE()
  ) AS earlier
  WHERE fromLast > 1 AND id NOT IN (
    SELECT MAX(version.id) FROM quote JOIN part_version AS version ON version.jobId = quote.jobId AND version.at <= quote.issuedAt
    WHERE quote.jobId = ? AND quote.imported = FALSE GROUP BY quote.id, version.partId
  )
)`;

/** Thins the versions of jobs that have very many: all of today stay, of each day before the last, and those before each issue. */
export async function thinVersions(dataSource: DataSource, most = MOST_VERSIONS): Promise<number> {
  const grown: { id: string }[] = await dataSource.query(GROWN, [most]);
  let gone = 0;
  for (const { id } of grown) {
    const { affectedRows } = await dataSource.query(THIN, [id, id]);
    gone += Number(affectedRows);
  }
  return gone;
}

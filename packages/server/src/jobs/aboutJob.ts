import type { DataSource } from "typeorm";
import type { Received } from "../http/received";
import { jobEntity } from "./entity";

/** The job that a request was about, by its title, for the company's log: the log is read when the job is long gone. */
export async function aboutJob({ params, signedIn }: Received, source: DataSource): Promise<string> {
  const { jobId } = params;
  const companyId = signedIn?.user.companyId;
  if (jobId === undefined || companyId === undefined) return "";
  const row = await source
    .getRepository(jobEntity)
    .findOne({ where: { companyId, id: jobId }, select: { data: true } });
  return row?.data.title ?? jobId;
}

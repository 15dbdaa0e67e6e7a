import { PassThrough } from "node:stream";
import type { DataSource } from "typeorm";
import { ZipFile } from "yazl";
import { assemblyEntity, standardEntity } from "../assemblies/entity";
import { type Endpoint, endpoint } from "../http/endpoint";
import type { Received } from "../http/received";
import { Reply } from "../http/reply";
import { jobEntity } from "../jobs/entity";
import type { HeavyAnswers } from "../pool/heavyAnswers";
import { priceItemEntity } from "../priceList/entity";
import { companyOf, userEntity } from "./entity";
import { companyMarkEntity } from "./mark";

const README = `What a company has on Wide Porch, as files.

company.json      name, address, settings
people.json       names, addresses and roles; no passwords
price-list.json   every item, with its revision
assemblies.json   every version of every assembly
standards.json    every version of every house standard
marks/            the pictures at the head of quotes
jobs/             each job whole: parts, photos, quotes that were issued. Each can be brought in by itself again.
`;

const json = (value: unknown): Buffer => Buffer.from(JSON.stringify(value, null, 2));

/** A file name that any system takes. */
const plainName = (title: string): string =>
  title
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9 -]/g, "")
    .trim()
    .replace(/\s+/g, "-")
    .slice(0, 60) || "job";

/** Asks for a job's file as the person would; by the pool, so that this thread waits for none. */
type JobFileOf = (jobId: string) => Promise<Uint8Array>;

async function addRecords(zip: ZipFile, dataSource: DataSource, companyId: string): Promise<void> {
  const { name, settings } = await companyOf(dataSource, companyId);
  const where = { companyId };
  const people = await dataSource.getRepository(userEntity).findBy(where);
  const items = await dataSource.getRepository(priceItemEntity).find({ where, order: { code: "ASC" } });
  const assemblies = await dataSource.getRepository(assemblyEntity).findBy(where);
  const standards = await dataSource.getRepository(standardEntity).findBy(where);
  zip.addBuffer(Buffer.from(README), "README.txt");
  zip.addBuffer(json({ name, settings }), "company.json");
  const shown = people.map(({ name: own, email, role, leftAt }) => ({ name: own, email, role, leftAt }));
  zip.addBuffer(json(shown), "people.json");
  zip.addBuffer(json(items.map(({ revision, data }) => ({ revision, item: data }))), "price-list.json");
  zip.addBuffer(json(assemblies.map(({ data, retired }) => ({ assembly: data, retired }))), "assemblies.json");
  zip.addBuffer(json(standards.map(({ data, retired }) => ({ standard: data, retired }))), "standards.json");
  for (const mark of await dataSource.getRepository(companyMarkEntity).findBy(where)) {
    zip.addBuffer(mark.bytes, `marks/${mark.id}.png`, { compress: false });
  }
}

/** Each job is asked for when it is its turn, so that no more than one is in memory. One that cannot be read is said in its place. */
async function addJobs(zip: ZipFile, dataSource: DataSource, companyId: string, jobFileOf: JobFileOf): Promise<void> {
  const jobs = await dataSource
    .getRepository(jobEntity)
    .find({ where: { companyId }, select: { id: true, data: true }, order: { createdAt: "ASC" } });
  for (const [index, { id, data }] of jobs.entries()) {
    const name = `jobs/${String(index + 1).padStart(4, "0")}-${plainName(data.title)}`;
    zip.addReadStreamLazy(`${name}.json`, {}, (give) => {
      const stream = new PassThrough();
      jobFileOf(id)
        .then((bytes) => stream.end(bytes))
        .catch((error: unknown) => stream.end(`This job could not be written: ${String(error)}`));
      give(null, stream);
    });
  }
}

const JOB_FILE = { method: "get", path: "/jobs/:jobId/file" } as const;

export const wholeCompanyEndpoints = (
  dataSource: DataSource,
  heavy: () => { readonly answers: HeavyAnswers; readonly endpoints: readonly Endpoint[] },
): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/company/file",
    access: "owner",
    summary: "All that the company has, as files in one ZIP",
    status: 200,
    contentType: "application/zip",
    handle: async ({ user, received }) => {
      const { answers, endpoints } = heavy();
      const jobFile = endpoints.find(({ method, path }) => method === JOB_FILE.method && path === JOB_FILE.path);
      if (!jobFile) throw new Error("wholeCompany: nothing writes a job's file");
      const jobFileOf = async (jobId: string): Promise<Uint8Array> => {
        const asked: Received = { ...received, params: { jobId }, query: {}, body: undefined };
        return (await answers.answer(jobFile, asked)).bytes ?? new Uint8Array();
      };
      const zip = new ZipFile();
      await addRecords(zip, dataSource, user.companyId);
      await addJobs(zip, dataSource, user.companyId, jobFileOf);
      zip.end();
      const headers = { "Content-Disposition": 'attachment; filename="company.zip"' };
      return new Reply(zip.outputStream, { contentType: "application/zip", headers });
    },
  }),
];

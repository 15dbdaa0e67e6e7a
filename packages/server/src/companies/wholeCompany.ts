import { PassThrough } from "node:stream";
import type { DataSource } from "typeorm";
import { ZipFile } from "yazl";
import { z } from "zod";
import { assemblyEntity, standardEntity } from "../assemblies/entity";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound } from "../http/problemDetails";
import type { Received } from "../http/received";
import { Reply } from "../http/reply";
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

/** What is written of a company beside its jobs: a file each, made by a thread when it is its turn. */
const RECORDS: Readonly<Record<string, (source: DataSource, companyId: string) => Promise<unknown>>> = {
  company: async (source, companyId) => {
    const { name, settings } = await companyOf(source, companyId);
    return { name, settings };
  },
  people: async (source, companyId) => {
    const people = await source.getRepository(userEntity).findBy({ companyId });
    return people.map(({ name, email, role, leftAt }) => ({ name, email, role, leftAt }));
  },
  "price-list": async (source, companyId) => {
    const items = await source.getRepository(priceItemEntity).find({ where: { companyId }, order: { code: "ASC" } });
    return items.map(({ revision, data }) => ({ revision, item: data }));
  },
  assemblies: async (source, companyId) => {
    const rows = await source.getRepository(assemblyEntity).findBy({ companyId });
    return rows.map(({ data, retired }) => ({ assembly: data, retired }));
  },
  standards: async (source, companyId) => {
    const rows = await source.getRepository(standardEntity).findBy({ companyId });
    return rows.map(({ data, retired }) => ({ standard: data, retired }));
  },
};

/** A file name that any system takes. */
const plainName = (title: string): string =>
  title
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9 -]/g, "")
    .trim()
    .replace(/\s+/g, "-")
    .slice(0, 60) || "job";

/** The bytes of another endpoint's answer, asked for as the person would; by the pool, so that this thread makes none. */
type Ask = (path: string, params: Received["params"]) => Promise<Uint8Array>;

/** Each is asked for when it is its turn, so that no more than one is in memory. One that cannot be read is said in its place. */
function addLazily(zip: ZipFile, name: string, compress: boolean, ask: () => Promise<Uint8Array>): void {
  zip.addReadStreamLazy(name, { compress }, (give) => {
    const stream = new PassThrough();
    ask()
      .then((bytes) => stream.end(bytes))
      .catch((error: unknown) => stream.end(`This could not be written: ${String(error)}`));
    give(null, stream);
  });
}

type Named = { readonly id: string; readonly title: string | null };

async function addAll(zip: ZipFile, dataSource: DataSource, companyId: string, ask: Ask): Promise<void> {
  zip.addBuffer(Buffer.from(README), "README.txt");
  for (const name of Object.keys(RECORDS)) {
    addLazily(zip, `${name}.json`, true, () => ask("/company/file/:name", { name }));
  }
  const marks = await dataSource.getRepository(companyMarkEntity).find({ where: { companyId }, select: { id: true } });
  for (const { id } of marks) addLazily(zip, `marks/${id}.png`, false, () => ask("/company/marks/:id", { id }));
  const jobs: Named[] = await dataSource.query(
    "SELECT id, JSON_VALUE(data, '$.title') AS title FROM job WHERE companyId = ? AND binnedAt IS NULL ORDER BY createdAt",
    [companyId],
  );
  for (const [index, { id, title }] of jobs.entries()) {
    const name = `jobs/${String(index + 1).padStart(4, "0")}-${plainName(title ?? "")}.json`;
    addLazily(zip, name, true, () => ask("/jobs/:jobId/file", { jobId: id }));
  }
}

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
    noted: { what: "company-exported" },
    handle: async ({ user, received }) => {
      const { answers, endpoints } = heavy();
      const ask: Ask = async (path, params) => {
        const asked = endpoints.find((each) => each.method === "get" && each.path === path);
        if (!asked) throw new Error(`wholeCompany: nothing answers ${path}`);
        const { bytes } = await answers.answer(asked, { ...received, params, query: {}, body: undefined });
        return bytes ?? new Uint8Array();
      };
      const zip = new ZipFile();
      await addAll(zip, dataSource, user.companyId, ask);
      zip.end();
      const headers = { "Content-Disposition": 'attachment; filename="company.zip"' };
      return new Reply(zip.outputStream, { contentType: "application/zip", headers });
    },
  }),
  endpoint({
    method: "get",
    path: "/company/file/:name",
    access: "owner",
    summary: "One file of those in the company's ZIP: company, people, price-list, assemblies or standards",
    status: 200,
    lane: "reckoning",
    answer: z.unknown(),
    handle: async ({ user, param }) => {
      const name = param("name");
      const read = Object.hasOwn(RECORDS, name) ? RECORDS[name] : undefined;
      if (!read) throw notFound("file");
      return new Reply(json(await read(dataSource, user.companyId)), { contentType: "application/json" });
    },
  }),
];

import { randomUUID } from "node:crypto";
import {
  JOB_FILE_FORMAT,
  type JobFile,
  jobFileSchema,
  kindOf,
  type Part,
  type Photo,
  type Problem,
  partContext,
  type QuoteDocument,
  readJobFile,
  renameParts,
  settlePart,
  withPartsRenamed,
} from "@wide-porch/core";
import { library } from "@wide-porch/library";
import type { DataSource, EntityManager } from "typeorm";
import { z } from "zod";
import { libraryOf } from "../assemblies/store";
import type { UserRow } from "../companies/entity";
import { requireQuota } from "../companies/usage";
import type { Config } from "../config";
import { isKnown } from "../database/lifted";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { aboutJob } from "../jobs/aboutJob";
import { jobAnswer, jobAnswerSchema } from "../jobs/answers";
import { changeOnce } from "../jobs/commands";
import type { JobRow } from "../jobs/entity";
import { insertJob } from "../jobs/routes";
import { allPartsOf, jobOf } from "../jobs/store";
import { insertParts, type NewPart } from "../parts/store";
import { photoEntity } from "../photos/entity";
import { bytesOf, keepPhoto, type Picture, type Room, readPicture } from "../photos/store";
import type { PictureStore } from "../pictures/pictureStore";
import { quoteEntity } from "../quotes/entity";
import type { Services } from "../services";
import { bringAlong } from "./bringAlong";

async function exportJob(
  source: DataSource | EntityManager,
  companyId: string,
  jobId: string,
  store: PictureStore | undefined,
): Promise<JobFile> {
  const row = await jobOf(source, companyId, jobId);
  const rows = await allPartsOf(source, companyId, jobId);
  const parts = rows.filter(isKnown);
  const library = await libraryOf(
    source,
    companyId,
    row.data,
    parts.map((part) => part.data),
  );
  const photos = await photosOf(source, companyId, jobId, store);
  const quotes = await source
    .getRepository(quoteEntity)
    .find({ where: { companyId, jobId }, order: { sequence: "ASC" } });
  return {
    format: JOB_FILE_FORMAT,
    schemaVersion: 1,
    job: row.data,
    // Those that this program does not know are passed on as they are, in their places.
    parts: rows.map((part) => part.data),
    photos,
    assemblies: [...library.assemblies],
    standards: library.standard ? [library.standard] : [],
    quotes: quotes.map((quote) => ({ issuedAt: quote.issuedAt.toISOString(), document: quote.document })),
  };
}

/** One after another: several large ones are not in memory at once but as text. One that its store has lost is left out. */
async function photosOf(
  source: DataSource | EntityManager,
  companyId: string,
  jobId: string,
  store: PictureStore | undefined,
): Promise<JobFile["photos"]> {
  const photos: JobFile["photos"][number][] = [];
  for (const row of await source.getRepository(photoEntity).findBy({ companyId, jobId })) {
    const bytes = await bytesOf(row, store);
    if (bytes) photos.push({ id: row.id, contentType: row.contentType, base64: bytes.toString("base64") });
  }
  return photos;
}

/** Parts that could not be built are refused like any other bad value: where, and why. */
function partProblems(file: JobFile): Problem[] {
  const context = partContext(file.job.system, library);
  const built = { assemblies: file.assemblies, standard: file.standards[0] };
  return file.parts.flatMap((part, index) => {
    const settled = settlePart(part, file.job.system, built);
    return kindOf(settled)
      .problems(settled, context)
      .map((each) => ({ ...each, path: `parts.${index}.${each.path}` }));
  });
}

/** Its row has an id of its own; the record in it stays as the file had it. */
const asItIs = (stored: unknown): NewPart => ({ id: randomUUID(), data: stored as Part });

/** One after another: each is decoded as it comes in. Throws 422 with the place of one that is no picture. */
async function readPictures({ photos }: JobFile, ids: ReadonlyMap<string, string>) {
  const read: { readonly id: string; readonly picture: Picture }[] = [];
  for (const [index, { id, base64 }] of photos.entries()) {
    const picture = await readPicture(Buffer.from(base64, "base64")).catch((error: unknown) => {
      if (!(error instanceof HttpProblem)) throw error;
      throw unfit([{ code: "no-picture", path: `photos.${index}`, message: error.message }]);
    });
    read.push({ id: ids.get(id) ?? id, picture });
  }
  return read;
}

const EARLIEST = Date.UTC(1990, 0, 1);
const LATEST = Date.UTC(2100, 0, 1);

function requireTimes(quotes: JobFile["quotes"]): void {
  const odd = quotes.findIndex(({ issuedAt }) => !(Date.parse(issuedAt) >= EARLIEST && Date.parse(issuedAt) < LATEST));
  if (odd < 0) return;
  throw unfit([{ code: "no-time", path: `quotes.${odd}.issuedAt`, message: "No quote was issued at such a time." }]);
}

/** What a file brings, read and checked, before anything is changed. Throws 422 for one that does not fit. */
async function readFile(data: unknown) {
  const result = readJobFile(data);
  if (!result.ok) throw unfit(result.problems);
  const problems = partProblems(result.file);
  if (problems.length > 0) throw unfit(problems);
  requireTimes(result.file.quotes);
  const photoIds = new Map(result.file.photos.map((photo) => [photo.id, randomUUID()]));
  return { ...result, photoIds, pictures: await readPictures(result.file, photoIds) };
}

type FileRead = Awaited<ReturnType<typeof readFile>>;

/** Adds the file's job as a new one with ids of its own. Runs inside the caller's transaction. */
async function importJob(
  manager: EntityManager,
  { companyId, id: userId }: UserRow,
  read: FileRead,
  room: Room,
): Promise<JobRow> {
  const { file, photoIds, pictures } = read;
  await requireQuota(manager, companyId, room.quotas, "jobs", 1);
  const renamed = (photos: readonly Photo[]) =>
    photos.map((photo) => ({ ...photo, id: photoIds.get(photo.id) ?? photo.id }));
  const parts = renameParts(file.parts, () => randomUUID()).map((part) => ({ ...part, photos: renamed(part.photos) }));
  const partIds = new Map(file.parts.map(({ id }, index) => [id, parts[index]?.id ?? id]));
  const withPictures = <T extends { readonly pictures: readonly Photo[] }>(quote: T) => ({
    ...quote,
    pictures: renamed(quote.pictures),
  });
  // The prices it was kept at are another list's.
  const prices = { at: new Date().toISOString(), taken: {} };
  const brought = await bringAlong(manager, companyId, userId, file);
  const job = withPartsRenamed(brought.job, (id) => partIds.get(id) ?? id);
  const row = await insertJob(manager, companyId, { ...job, prices, quote: withPictures(job.quote) });
  const author = { userId, at: new Date() };
  const known = parts.map((part) => ({ id: part.id, data: brought.part(part) }));
  const unknown = read.unknownParts.map(({ stored }) => asItIs(stored));
  await insertParts(manager, row, [...known, ...unknown], author);
  for (const { id, picture } of pictures) {
    await keepPhoto(manager, { id, companyId, jobId: row.id, userId }, picture, room);
  }
  for (const [index, { issuedAt, document }] of file.quotes.entries()) {
    await manager.getRepository(quoteEntity).insert({
      id: randomUUID(),
      companyId,
      jobId: row.id,
      sequence: index + 1,
      number: document.number,
      issuedAt: new Date(issuedAt),
      issuedBy: null,
      imported: true,
      total: document.total,
      document: withoutMark(withPictures(document)),
      snapshot: null,
    });
  }
  return row;
}

/** A mark is the company's that issued it, and is not in the file. */
const withoutMark = (document: QuoteDocument): QuoteDocument => ({
  ...document,
  company: { ...document.company, mark: null },
});

export const jobFileEndpoints = (
  dataSource: DataSource,
  { quotas }: Pick<Config, "quotas">,
  { pictures }: Services,
): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/jobs/:jobId/file",
    access: "sees-costs",
    summary: "The whole job as one file",
    status: 200,
    noted: { what: "job-exported", about: aboutJob },
    answer: jobFileSchema,
    lane: "reckoning",
    handle: async ({ user, param }) => {
      const file = await exportJob(dataSource, user.companyId, param("jobId"), pictures);
      return new Reply(file, { headers: { "Content-Disposition": 'attachment; filename="job.json"' } });
    },
  }),
  endpoint({
    method: "post",
    path: "/job-files",
    access: "sees-costs",
    summary: "Add a job from a file; a file that does not fit changes nothing and is told where it fails",
    status: 201,
    lane: "reckoning",
    bodyOf: "job-file",
    // Read by `readJobFile`, which brings older files up to date before it checks them.
    body: z.unknown(),
    answer: jobAnswerSchema,
    handle: async ({ user, body, received }) => {
      const read = await readFile(body);
      return changeOnce(dataSource, { user, received }, "bring-in-job", async (manager) =>
        jobAnswer(await importJob(manager, user, read, { store: pictures, quotas }), user.role),
      );
    },
  }),
];

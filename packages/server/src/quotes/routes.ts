import { randomUUID } from "node:crypto";
import { detailLines } from "@wide-porch/core";
import {
  draftQuote,
  partContext,
  type QuoteDocument,
  quoteDocumentSchema,
  reckonJob,
} from "@wide-porch/core/reckoning";
import { type DataSource, type EntityManager, In } from "typeorm";
import { z } from "zod";
import { libraryOf } from "../assemblies/store";
import { companyOf } from "../companies/entity";
import { companyMarkEntity } from "../companies/mark";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";
import { aboutJob } from "../jobs/aboutJob";
import { commandOf, once } from "../jobs/commands";
import { jobOf, lockJob, partsOf, touchJob } from "../jobs/store";
import { paperPictures } from "../pdf/paperPictures";
import { type QuotePictures, quotePdfReply } from "../pdf/quotePdf";
import { photoEntity } from "../photos/entity";
import { bytesOf } from "../photos/store";
import type { PictureStore } from "../pictures/pictureStore";
import { pricesOfJob } from "../priceList/inForce";
import type { Services } from "../services";
import { quoteDate } from "./dates";
import { type QuoteRow, type QuoteSnapshot, quoteEntity } from "./entity";
import { nextNumber } from "./numbers";

const quoteAnswerSchema = z
  .object({
    id: z.string(),
    number: z.string(),
    sequence: z.int(),
    issuedAt: z.iso.datetime(),
    /** It came with a job's file, under the number it had there. */
    imported: z.boolean(),
    document: quoteDocumentSchema,
  })
  .meta({ id: "Quote" });

/** The day it is where the person is; theirs and the server's may differ by one. */
const dateSchema = z.object({ date: z.iso.date().optional() });
const issueSchema = dateSchema.extend({ commandId: z.uuid() }).meta({ id: "IssueQuote" });

const quoteAnswer = (row: QuoteRow): z.infer<typeof quoteAnswerSchema> => ({
  id: row.id,
  number: row.number,
  sequence: row.sequence,
  issuedAt: row.issuedAt.toISOString(),
  imported: row.imported,
  document: row.document,
});

/** The pictures that a quote names, as far as they have been sent, and the mark at its head. */
async function picturesOf(
  source: DataSource,
  companyId: string,
  quote: QuoteDocument,
  store: PictureStore | undefined,
): Promise<QuotePictures> {
  const ids = quote.pictures.map((picture) => picture.id);
  const photos = ids.length === 0 ? [] : await source.getRepository(photoEntity).findBy({ companyId, id: In(ids) });
  const { mark } = quote.company;
  const marks = mark === null ? [] : await source.getRepository(companyMarkEntity).findBy({ companyId, id: mark });
  const kept = await Promise.all(
    photos.map(async (photo) => ({ id: photo.id, bytes: (await bytesOf(photo, store)) ?? Buffer.alloc(0) })),
  );
  return paperPictures([...kept, ...marks]);
}

type Made = { document: QuoteDocument; snapshot: QuoteSnapshot };

type Issued = { readonly number: string; readonly date: string | undefined };

/** A job reckoned, to be written as a quote once its number is known. */
async function preparedQuote(
  source: DataSource | EntityManager,
  companyId: string,
  jobId: string,
): Promise<(issued: Issued) => Made> {
  const row = await jobOf(source, companyId, jobId);
  const company = await companyOf(source, companyId);
  const parts = (await partsOf(source, companyId, jobId)).map((part) => part.data);
  const priceList = await pricesOfJob(source, companyId, row.data);
  const library = await libraryOf(source, companyId, row.data, parts);
  const reckoning = reckonJob(row.data, parts, priceList, library);
  const { address, profile } = company.settings;
  const written = { name: company.name, address, details: detailLines(profile), mark: profile.mark };
  return ({ number, date }) => ({
    document: draftQuote(row.data, parts, reckoning, {
      number,
      date: quoteDate(date, profile.timeZone),
      company: written,
      context: partContext(row.data.system, library),
    }),
    snapshot: { job: row.data, parts, priceList, assemblies: library.assemblies, standard: library.standard ?? null },
  });
}

const makeQuote = async (source: DataSource, companyId: string, jobId: string, issued: Issued): Promise<Made> =>
  (await preparedQuote(source, companyId, jobId))(issued);

const DRAFT = "Draft";
/** What the column holds, and more than any house costs. */
const LARGEST_TOTAL = 999_999_999_999;

function requireQuotable(document: QuoteDocument): void {
  const refuse = (code: string, message: string) =>
    new HttpProblem(422, { detail: message, problems: [{ code, path: "", message }] });
  if (document.sections.length === 0) {
    throw refuse("nothing-to-quote", "Measure at least one part before issuing a quote.");
  }
  if (Number(document.total) > LARGEST_TOTAL) {
    throw refuse("total-too-large", "The total is more than a quote can say. Check the prices and quantities.");
  }
}

export async function issueQuote(
  manager: EntityManager,
  companyId: string,
  jobId: string,
  userId: string,
  asked: string | undefined,
): Promise<QuoteRow> {
  const quotes = manager.getRepository(quoteEntity);
  const { settings } = await companyOf(manager, companyId);
  const date = quoteDate(asked, settings.profile.timeZone);
  // Reckoned before the number is taken: that locks the company, for everybody and over all nodes of a cluster.
  const written = await preparedQuote(manager, companyId, jobId);
  requireQuotable(written({ number: DRAFT, date }).document);
  const number = await nextNumber(manager, companyId, date);
  const { document, snapshot } = written({ number, date });
  const issuedAt = new Date();
  const sequence = ((await quotes.maximum("sequence", { companyId, jobId })) ?? 0) + 1;
  const { total } = document;
  const row: QuoteRow = {
    id: randomUUID(),
    companyId,
    jobId,
    sequence,
    number,
    issuedAt,
    issuedBy: userId,
    imported: false,
    total,
    document,
    snapshot,
  };
  await quotes.insert(row);
  await touchJob(manager, companyId, jobId, issuedAt);
  return row;
}

export const quoteEndpoints = (dataSource: DataSource, { pictures }: Services): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/jobs/:jobId/quotes",
    access: "sees-costs",
    summary: "The quotes issued for a job, newest first",
    status: 200,
    lane: "records",
    answer: z.object({ items: z.array(quoteAnswerSchema) }),
    handle: async ({ user, param }) => {
      const job = await jobOf(dataSource, user.companyId, param("jobId"));
      const where = { companyId: user.companyId, jobId: job.id };
      const rows = await dataSource.getRepository(quoteEntity).find({ where, order: { sequence: "DESC" } });
      return { items: rows.map(quoteAnswer) };
    },
  }),
  endpoint({
    method: "post",
    path: "/jobs/:jobId/quotes",
    access: "sees-costs",
    summary: "Issue the job's quote as it stands; later changes to the job leave it as it is",
    status: 201,
    lane: "reckoning",
    noted: { what: "quote-issued", about: aboutJob },
    body: issueSchema,
    answer: quoteAnswerSchema,
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        return once(manager, commandOf(user, "issue-quote", body.commandId, job.id), async () =>
          quoteAnswer(await issueQuote(manager, user.companyId, job.id, user.id, body.date)),
        );
      }),
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/quote-draft",
    access: "sees-costs",
    summary: "The quote as it would be issued now",
    status: 200,
    query: dateSchema,
    lane: "reckoning",
    answer: quoteDocumentSchema,
    handle: async ({ user, param, query }) => {
      const issued = { number: DRAFT, date: query.date };
      return (await makeQuote(dataSource, user.companyId, param("jobId"), issued)).document;
    },
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/quote-draft.pdf",
    access: "sees-costs",
    summary: "The draft as a PDF",
    status: 200,
    query: dateSchema,
    contentType: "application/pdf",
    lane: "reckoning",
    handle: async ({ user, param, query }) => {
      const issued = { number: DRAFT, date: query.date };
      const { document } = await makeQuote(dataSource, user.companyId, param("jobId"), issued);
      return quotePdfReply(document, await picturesOf(dataSource, user.companyId, document, pictures));
    },
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/quotes/:quoteId/pdf",
    access: "sees-costs",
    summary: "An issued quote as a PDF",
    status: 200,
    contentType: "application/pdf",
    lane: "reckoning",
    handle: async ({ user, param }) => {
      const { id: jobId } = await jobOf(dataSource, user.companyId, param("jobId"));
      const where = { companyId: user.companyId, jobId, id: param("quoteId") };
      const row = await dataSource.getRepository(quoteEntity).findOneBy(where);
      if (!row) throw notFound("quote");
      return quotePdfReply(row.document, await picturesOf(dataSource, user.companyId, row.document, pictures));
    },
  }),
];

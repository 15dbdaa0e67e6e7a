import {
  assemblyRecord,
  assemblySchema,
  houseStandardSchema,
  jobRecord,
  jobSchema,
  type Parsed,
  partSchema,
  priceItemRecord,
  priceItemSchema,
  readStored,
  readStoredPart,
  standardRecord,
} from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";
import { jobOf } from "../jobs/store";
import { type QuoteSnapshot, quoteEntity } from "./entity";

const inputsSchema = z
  .object({
    job: jobSchema,
    parts: z.array(partSchema),
    priceList: z.array(priceItemSchema),
    assemblies: z.array(assemblySchema),
    standard: houseStandardSchema.nullable(),
  })
  .meta({ id: "QuoteInputs" });

/** Brought up to date as it is read; what cannot be read is told, not left out. */
function read<T>(found: Parsed<T>): T {
  if (found.ok) return found.value;
  throw new HttpProblem(422, { detail: `What this quote was made from cannot be read here: ${found.problem.message}` });
}

const liftedInputs = ({ job, parts, priceList, assemblies = [], standard = null }: QuoteSnapshot) => ({
  job: read(readStored(jobRecord, job)),
  parts: parts.map((part) => read(readStoredPart(part))),
  priceList: priceList.map((item) => read(readStored(priceItemRecord, item))),
  assemblies: assemblies.map((assembly) => read(readStored(assemblyRecord, assembly))),
  standard: standard === null ? null : read(readStored(standardRecord, standard)),
});

export const quoteInputEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/jobs/:jobId/quotes/:quoteId/inputs",
    access: "sees-costs",
    summary: "What an issued quote was made from, to be reckoned again and compared with",
    status: 200,
    lane: "reckoning",
    answer: inputsSchema,
    handle: async ({ user, param }) => {
      const { companyId } = user;
      const { id: jobId } = await jobOf(dataSource, companyId, param("jobId"));
      const where = { companyId, jobId, id: param("quoteId") };
      const row = await dataSource.getRepository(quoteEntity).findOneBy(where);
      if (!row) throw notFound("quote");
      if (row.snapshot) return liftedInputs(row.snapshot);
      throw new HttpProblem(404, { detail: "This quote came with a job's file: what it was made from is not kept." });
    },
  }),
];

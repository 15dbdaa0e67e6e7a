import {
  assemblySchema,
  houseStandardSchema,
  jobSchema,
  partSchema,
  priceItemSchema,
  quoteDocumentSchema,
} from "@wide-porch/core";
import { z } from "zod";

const roleSchema = z.enum(["owner", "estimator", "crew"]);

export const sessionSchema = z.object({
  user: z.object({ id: z.string(), name: z.string(), email: z.string(), role: roleSchema }),
  company: z.object({ id: z.string(), name: z.string(), address: z.string() }),
  csrfToken: z.string(),
});
export type Session = z.infer<typeof sessionSchema>;

export const demoPeopleSchema = z.object({
  items: z.array(z.object({ name: z.string(), email: z.string(), role: roleSchema, password: z.string() })),
});

/** Pricing is null for crew, who do not see costs. */
export const jobRecordSchema = z.object({
  id: z.string(),
  revision: z.number(),
  updatedAt: z.string(),
  job: jobSchema.extend({ pricing: jobSchema.shape.pricing.nullable() }),
});
export type JobRecord = z.infer<typeof jobRecordSchema>;

export const jobListSchema = z.object({
  items: z.array(jobRecordSchema),
  total: z.number(),
  page: z.number(),
  perPage: z.number(),
});

export const partRecordSchema = z.object({
  id: z.string(),
  revision: z.number(),
  binned: z.boolean(),
  part: partSchema,
});
export type PartRecord = z.infer<typeof partRecordSchema>;

export const fullJobSchema = z.object({
  job: jobRecordSchema,
  parts: z.array(partRecordSchema),
  /** In the versions the parts are counted with. */
  assemblies: z.array(assemblySchema),
  standard: houseStandardSchema.nullable(),
});
export type FullJob = z.infer<typeof fullJobSchema>;

export const priceRecordSchema = z.object({ revision: z.number(), item: priceItemSchema });
export const priceListSchema = z.object({ items: z.array(priceRecordSchema) });
export type PriceRecord = z.infer<typeof priceRecordSchema>;

export const assemblyRecordSchema = z.object({
  assembly: assemblySchema,
  retired: z.boolean(),
  failingExamples: z.number(),
  problems: z.number(),
});
export type AssemblyRecord = z.infer<typeof assemblyRecordSchema>;
export const assemblyListSchema = z.object({ items: z.array(assemblyRecordSchema) });

export const standardRecordSchema = z.object({ standard: houseStandardSchema, retired: z.boolean() });
export type StandardRecord = z.infer<typeof standardRecordSchema>;
export const standardListSchema = z.object({ items: z.array(standardRecordSchema) });

export const quoteRecordSchema = z.object({
  id: z.string(),
  number: z.string(),
  sequence: z.number(),
  issuedAt: z.string(),
  document: quoteDocumentSchema,
});
export type QuoteRecord = z.infer<typeof quoteRecordSchema>;
export const quoteListSchema = z.object({ items: z.array(quoteRecordSchema) });

export const partHistorySchema = z.object({
  items: z.array(
    z.object({
      revision: z.number(),
      how: z.enum(["saved", "binned", "set-aside"]),
      at: z.string(),
      by: z.string(),
      part: partSchema,
    }),
  ),
});
export type PartVersion = z.infer<typeof partHistorySchema>["items"][number];

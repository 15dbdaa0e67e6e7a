import {
  type Assembly,
  type HouseStandard,
  type JobFile,
  type PriceItem,
  type QuoteDocument,
  quoteDocumentRecord,
} from "@wide-porch/core";
import { EntitySchema } from "typeorm";
import { liftedTo } from "../database/lifted";

/** What an issued quote was made from, so that it can be reckoned again years later. */
export type QuoteSnapshot = Pick<JobFile, "job" | "parts"> & {
  priceList: readonly PriceItem[];
  /** Missing in quotes issued before there were any. */
  assemblies?: readonly Assembly[];
  standard?: HouseStandard | null;
};

/** An issued quote is never changed. */
export type QuoteRow = {
  id: string;
  companyId: string;
  jobId: string;
  sequence: number;
  number: string;
  issuedAt: Date;
  /** Null for a quote that came with an imported job. */
  issuedBy: string | null;
  /** It came with a job's file; its number is the one it had there. */
  imported: boolean;
  total: string;
  document: QuoteDocument;
  snapshot: QuoteSnapshot | null;
};

export const quoteEntity = new EntitySchema<QuoteRow>({
  name: "quote",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    jobId: { type: "char", length: 36 },
    sequence: { type: "int" },
    number: { type: "varchar", length: 40 },
    issuedAt: { type: "datetime", precision: 3 },
    issuedBy: { type: "char", length: 36, nullable: true },
    imported: { type: "boolean" },
    total: { type: "decimal", precision: 14, scale: 2 },
    document: { type: "json", transformer: liftedTo(quoteDocumentRecord) },
    snapshot: { type: "json", nullable: true },
  },
});

/** The last number given out in a year. */
export type QuoteCounterRow = { companyId: string; year: number; last: number };

export const quoteCounterEntity = new EntitySchema<QuoteCounterRow>({
  name: "quote_counter",
  columns: {
    companyId: { type: "char", length: 36, primary: true },
    year: { type: "int", primary: true },
    last: { type: "int" },
  },
});

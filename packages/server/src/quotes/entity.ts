import type { Assembly, HouseStandard, JobFile, PriceItem, QuoteDocument } from "@wide-porch/core";
import { EntitySchema } from "typeorm";

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
    total: { type: "decimal", precision: 14, scale: 2 },
    document: { type: "json" },
    snapshot: { type: "json", nullable: true },
  },
});

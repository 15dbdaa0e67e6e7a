import { EntitySchema } from "typeorm";

/** What a job came to when it was last reckoned: good while neither the job nor a price has changed since. */
export type JobTotalRow = {
  jobId: string;
  companyId: string;
  changeNumber: number;
  priceStamp: string;
  total: string;
  marginPercent: string;
  /** The build of the program that reckoned it. */
  build: string;
  /** What an earlier build made of the same job at the same prices, where that was another sum. */
  formerTotal: string | null;
};

/** A build's name, as far as it is kept. */
export const shortBuild = (build: string): string => build.slice(0, 16);

/** The stamp of a job that keeps its prices: what changes in the list is nothing to it. */
export const KEPT = "kept";

export const jobTotalEntity = new EntitySchema<JobTotalRow>({
  name: "job_total",
  columns: {
    jobId: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    changeNumber: { type: "int" },
    priceStamp: { type: "varchar", length: 40 },
    total: { type: "decimal", precision: 16, scale: 2 },
    marginPercent: { type: "decimal", precision: 9, scale: 1 },
    build: { type: "varchar", length: 16 },
    formerTotal: { type: "decimal", precision: 16, scale: 2, nullable: true },
  },
});

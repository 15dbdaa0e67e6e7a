import { JOB_FILE_FORMAT, startJob } from "@wide-porch/core";
import { starterCompanySettings } from "@wide-porch/library";
import { house } from "./largeHouse";

/** Prints the house of 60 walls as a job file, or one of as many walls as are asked for. */
const [, , walls] = process.argv;
const job = startJob(
  { title: "Sixty walls", customerName: "Benchmark", site: "Invented", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
// Ids in a job's file are those of records.
const uuid = (index: number): string => `00000000-0000-4000-8000-${String(index).padStart(12, "0")}`;
const parts = house(walls === undefined ? undefined : Number(walls)).map((part, index) => ({
  ...part,
  id: uuid(index),
}));
process.stdout.write(JSON.stringify({ format: JOB_FILE_FORMAT, schemaVersion: 1, job, parts, quotes: [] }));

import { recordOf } from "../migrations/fields";
import type { Migration } from "../migrations/migrate";
import { usualCutting } from "../order/records";

export const jobMigrations: readonly Migration[] = [
  // How timber is cut, and the house standard it is counted by.
  { to: 2, name: "cutting-and-standard", up: (job) => ({ ...job, cutting: usualCutting, standard: null }) },
  // Pictures on the quote.
  { to: 3, name: "pictures-on-the-quote", up: (job) => ({ ...job, quote: { ...recordOf(job.quote), pictures: [] } }) },
  // Options, of which none was taken.
  { to: 4, name: "options-taken", up: (job) => ({ ...job, optionsTaken: [] }) },
  // Choices line by line, of which none was made.
  { to: 5, name: "line-changes", up: (job) => ({ ...job, lineChanges: {}, swaps: [] }) },
];

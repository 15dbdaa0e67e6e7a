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
  {
    // Its prices were those of the list at any moment: they go on being that until somebody keeps them.
    to: 6,
    name: "prices-kept-and-stages",
    up: (job) => ({ ...job, supplies: [], prices: { at: null, taken: {} }, stage: "pricing", shelf: "open" }),
  },
];

import { JOB_STAGES, type JobShelf, type JobStage } from "@wide-porch/core";

export const STAGE_WORDS: Readonly<Record<JobStage, string>> = {
  pricing: "Being priced",
  quoted: "Quoted",
  won: "Won",
  lost: "Lost",
  done: "Done",
};
export const STAGES = JOB_STAGES.map((value) => ({ value, label: STAGE_WORDS[value] }));

export const SHELF_WORDS: Readonly<Record<JobShelf, string>> = {
  open: "Open",
  archived: "Put away",
  template: "Templates",
};

export const SORTS = [
  { value: "changed", label: "Last changed" },
  { value: "title", label: "Name" },
  { value: "customer", label: "Customer" },
  { value: "total", label: "Total" },
  { value: "margin", label: "Margin" },
] as const;
export type JobSort = (typeof SORTS)[number]["value"];

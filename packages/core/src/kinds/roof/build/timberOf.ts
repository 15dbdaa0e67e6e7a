import type { RoofChoices } from "../parameters";

const SECTIONS: Readonly<Record<string, keyof RoofChoices>> = {
  ridge: "ridgeSection",
  ledger: "ridgeSection",
  "hip-rafter": "hipSection",
  "valley-rafter": "hipSection",
  "ceiling-joist": "joistSection",
  "collar-tie": "collarSection",
  purlin: "purlinSection",
  "purlin-strut": "gableStudSection",
  "gable-stud": "gableStudSection",
  "gable-plate": "gableStudSection",
  "dormer-stud": "gableStudSection",
  "dormer-plate": "gableStudSection",
};

const TRUSS = /^truss-/;

/** What pieces of a role are cut from; rafters of any kind, their headers, barges and lookouts from the rafters' own. */
export const timberOf =
  (choices: RoofChoices) =>
  (role: string): string =>
    String(choices[SECTIONS[role] ?? (TRUSS.test(role) ? "gableStudSection" : "rafterSection")]);

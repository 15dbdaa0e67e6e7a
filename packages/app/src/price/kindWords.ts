import { COST_KINDS, type CostKind } from "@wide-porch/core";

export const KIND_WORDS: Readonly<Record<CostKind, string>> = {
  material: "Materials",
  labour: "Labour",
  plant: "Plant",
  subcontract: "Subcontract",
  sundry: "Sundries",
  allowance: "Allowances",
};

/** As they are read: what is bought and who works on it first. */
export const KINDS_IN_ORDER: readonly CostKind[] = [
  "material",
  "labour",
  "plant",
  "subcontract",
  "sundry",
  "allowance",
];

export const KIND_OPTIONS = KINDS_IN_ORDER.filter((kind) => COST_KINDS.includes(kind)).map((value) => ({
  value,
  label: KIND_WORDS[value],
}));

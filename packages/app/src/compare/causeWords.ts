import type { Cause } from "@wide-porch/core";

export const CAUSE_WORDS: Readonly<Record<Cause, { readonly name: string; readonly under: string }>> = {
  dimension: { name: "Dimensions", under: "what was measured, and parts put in or taken out" },
  rule: { name: "Rules", under: "assemblies, house standard, options, items swapped" },
  price: { name: "Prices", under: "price list, rates, what was typed in" },
  productivity: { name: "Productivity", under: "hours of tasks, and the pace of the standard" },
  markup: { name: "Markup", under: "steps from cost to price, typed prices, tax" },
};

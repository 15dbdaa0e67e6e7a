import type { Pricing, TaxClass } from "@wide-porch/core";

export const TAX_WORDS: Readonly<Record<TaxClass, string>> = { standard: "Standard", reduced: "Reduced", none: "None" };

/** `Standard, 20 %`. */
export const taxOptions = ({ percent, reducedPercent }: Pricing["tax"]) =>
  [
    { value: "standard" as const, label: `Standard, ${percent} %` },
    { value: "reduced" as const, label: `Reduced, ${reducedPercent} %` },
    { value: "none" as const, label: "None" },
  ] satisfies readonly { readonly value: TaxClass; readonly label: string }[];

import { formatMoney, type Money } from "../units";
import type { QuoteDocument } from "./document";

/** A line at the foot of a quote. */
export type QuoteTotal = { readonly name: string; readonly amount: Money; readonly strong: boolean };

type Taxed = Pick<QuoteDocument, "apart" | "taxes" | "taxContained" | "priceBeforeTax" | "total" | "currency">;

/** `VAT at 20 %`; with what it is of where there are several. */
function taxName({ name, percent, base }: Taxed["taxes"][number], { taxes, currency }: Taxed): string {
  const said = Number(percent) === 0 && taxes.length > 1 ? `No ${name}` : `${name} at ${percent} %`;
  return taxes.length > 1 ? `${said} on ${formatMoney(base, currency)}` : said;
}

/** The foot of a quote: what is said apart, then the price, its tax and what is to pay, in the order they are read. */
export function quoteTotals(quote: Taxed): QuoteTotal[] {
  const apart = quote.apart.map((each) => ({ ...each, strong: false }));
  const taxes = quote.taxes.map((tax) => ({ name: taxName(tax, quote), amount: tax.amount, strong: false }));
  const total = { name: "Total to pay", amount: quote.total, strong: true };
  if (quote.taxContained) return [...apart, total, ...taxes.map((tax) => ({ ...tax, name: `In it: ${tax.name}` }))];
  return [...apart, { name: "Price before tax", amount: quote.priceBeforeTax, strong: false }, ...taxes, total];
}

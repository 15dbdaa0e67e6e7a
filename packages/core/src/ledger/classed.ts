import { ownValue } from "../records/ownValue";
import type { Costing } from "./costing";
import type { BareLine, LedgerLine } from "./ledgerLine";
import type { TaxClass } from "./taxClass";

type Classes = Pick<LedgerLine, "markupPercent" | "tax">;

/** A line's own markup goes before its trade's, and that before its kind's. */
function classesOf(line: BareLine, costing: Costing, taxes: ReadonlyMap<string, TaxClass>): Classes {
  const set = ownValue(costing.linesSet, line.id);
  const ofTrade = costing.markupByTrade.find(({ trade }) => trade === line.trade);
  return {
    markupPercent: set?.markupPercent ?? ofTrade?.percent ?? costing.markupPercent[line.kind],
    tax: set?.tax ?? taxes.get(line.id) ?? costing.tax.byKind[line.kind],
  };
}

type Known = { readonly costing: Costing; readonly line: LedgerLine };
const known = new WeakMap<BareLine, Known>();

/** Typed costs have a tax of their own, and so has the time to fit them. */
const taxesOfTyped = ({ extras }: Costing): ReadonlyMap<string, TaxClass> =>
  new Map(
    extras.flatMap(({ id, tax }) =>
      tax === null ? [] : [[`extra/${id}`, tax] as const, [`fitting/${id}`, tax] as const],
    ),
  );

/** Lines with what each is marked up by and how it is taxed. The same objects while neither is another. */
export function classed(lines: readonly BareLine[], costing: Costing): LedgerLine[] {
  const taxes = taxesOfTyped(costing);
  return lines.map((line) => {
    const before = known.get(line);
    if (before?.costing === costing) return before.line;
    const { markupPercent, tax } = classesOf(line, costing, taxes);
    const same = before?.line.markupPercent === markupPercent && before.line.tax === tax;
    const made = same ? before.line : { ...line, markupPercent, tax };
    known.set(line, { costing, line: made });
    return made;
  });
}

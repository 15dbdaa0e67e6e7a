import { unitWord } from "../count/quantityText";

/** Units that are said alike for one and for many. */
const SAID_ALIKE: ReadonlySet<string> = new Set(["each", "h", "sum"]);

/** What is bought, for so many of it: `length` and `lengths`, `5 lb boxes`, `rolls of 900 sq ft`. */
export function packWord(count: number, unitName: string): string {
  if (SAID_ALIKE.has(unitName)) return unitName;
  const [pack = "", ...holding] = unitName.split(" of ");
  return [unitWord(count, pack), ...holding].join(" of ");
}

import type { Library } from "../assemblies";
import { kindOf, type Part, type Scalar } from "../kinds";
import type { PriceItem } from "../order";
import { addHours } from "./addHours";
import { countOf, type JobToCount, priceAlone, type Remembered } from "./reckonJob";
import type { Job } from "./schema";
import type { WayTried } from "./wayTried";

type Estimate = {
  readonly job: JobToCount & Pick<Job, "pricing">;
  readonly parts: readonly Part[];
  readonly priceList: readonly PriceItem[];
  readonly library: Library;
};

/** The part with one choice of what builds it made; the same where nothing builds it. */
function withChoice(part: Part, name: string, value: Scalar): Part {
  const { slot } = kindOf(part);
  return slot ? slot.choose(part, { ...slot.of(part).choices, [name]: value }) : part;
}

/**
 * What a job comes to with one choice of a part made each way: through count, order and price, so that skips, loads and hired days are shared as they
 * would be. Hours and plant are those of the part.
 */
export function waysOfDoing(
  { job, parts, priceList, library }: Estimate,
  partId: string,
  name: string,
  values: readonly Scalar[],
  remembered: Remembered = {},
): WayTried[] {
  return values.map((value): WayTried => {
    const tried = parts.map((part) => (part.id === partId ? withChoice(part, name, value) : part));
    const counts = countOf(job, tried, priceList, library, remembered);
    const { ledger, total } = priceAlone(job, counts, priceList, library);
    const own = ledger.filter((line) => line.partId === partId);
    return {
      value,
      total,
      hours: addHours(own),
      plant: own
        .filter(({ kind }) => kind === "plant")
        .map(({ what, quantity, unitName }) => ({ what, quantity, unit: unitName })),
    };
  });
}

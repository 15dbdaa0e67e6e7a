import { partContext } from "../assemblies";
import { countTable, orderTable } from "../formats/tables";
import { isWallPart } from "../kinds";
import { elevationFrom, HOUSE_SIDES, modelOf, sectionThrough, usualCut } from "../model";
import { openRange } from "../openRange";
import { drawStorey, planJob, resolveParts, storeyLevels } from "../plan";
import { library, starterCompanySettings, starterPriceList } from "../testing/library";
import { samples } from "../testing/samples";
import { intricate } from "../testing/samples/intricate";
import { markOf } from "../testing/samples/mark";
import type { MeasuringSystem } from "../units";
import { compareEstimates, draftQuote, reckonJob, startJob } from "./index";

const company = { name: "Fernhollow Builders", address: "1 Mill Lane" };

/** Each field of an answer in a line: as it is where it is a word or a number, else by its mark. */
const inShort = (answer: object): string[] =>
  Object.entries(answer).map(([name, value]) => `${name}: ${typeof value === "object" ? markOf(value) : value}`);

/** All the samples there are of one measuring system, as one job. */
function jobOf(system: MeasuringSystem) {
  const parts = [...samples, ...intricate]
    .flatMap(({ of }) => of)
    .filter((each) => each.system === system)
    .map(({ part }, index) => ({ ...part, id: `part-${index}` }));
  const job = startJob(
    { title: "All of it", customerName: "P. Thistlewood", site: "Marlcroft", system, currency: "USD" },
    starterCompanySettings,
  );
  return { job, parts, ...reckonJob(job, parts, starterPriceList, library) };
}

/** What a job comes to, as it was when somebody last looked at it (see `kinds/asBefore.test.ts`). */
describe.each(["imperial", "metric"] as const)("a %s job of all there is", (system) => {
  const { job, parts, counts, order, buildUp } = jobOf(system);

  it("is bought as it was", () => {
    expect(orderTable(order).rows.map((row) => row.join(" | "))).toMatchSnapshot();
    expect(order.cuts.map((cut) => `${cut.name}: ${cut.bars.length} ${markOf(cut)}`)).toMatchSnapshot();
    expect(
      markOf(
        countTable(
          counts.flatMap(({ lines }) => lines),
          system,
        ),
      ),
    ).toMatchSnapshot();
  });

  it("costs what it did", () => {
    const { ledger, ...rest } = buildUp;
    expect(ledger.map((line) => `${line.what}: ${line.cost} ${markOf(line)}`)).toMatchSnapshot();
    expect(inShort(rest)).toMatchSnapshot();
  });

  it("is quoted as it was", () => {
    const issue = { number: "2026-0001", date: "2026-12-01", company, context: partContext(system, library) };
    expect(draftQuote(job, parts, { counts, order, buildUp }, issue)).toMatchSnapshot();
  });

  it("stands, is cut through and is seen where it was", () => {
    const plan = planJob(parts);
    const context = partContext(system, library);
    const solids = modelOf(counts, resolveParts(parts, plan), plan, context);
    expect([solids.length, markOf(solids)]).toMatchSnapshot();
    const levels = storeyLevels(plan);
    for (const along of ["across", "up"] as const) {
      const atNm = usualCut(solids, along);
      expect([atNm, markOf(sectionThrough(solids, { along, atNm }, levels, system))]).toMatchSnapshot();
    }
    // What hides what is sorted out for some hundreds of sides at most.
    const some = solids.filter(({ partId }) => partId === solids[0]?.partId);
    expect(HOUSE_SIDES.map((side) => markOf(elevationFrom(some, side, system)))).toMatchSnapshot();
    expect(
      plan.storeys.map((storey) => markOf(drawStorey(storey, parts.filter(isWallPart), plan, context))),
    ).toMatchSnapshot();
  });

  it("differs from another by what it did", () => {
    const cheaper = { ...job, pricing: { ...job.pricing, ratePerHour: "31.50" } };
    const estimate = { job, parts, priceList: starterPriceList, library };
    const of = compareEstimates(
      { ...estimate, job: cheaper, parts: parts.slice(0, 5) },
      { ...estimate, parts: parts.slice(0, 8) },
    );
    expect(of).toMatchSnapshot();
  });

  it("is as open as it was", () => {
    const few = parts.filter(({ kind }) => kind === "stud-wall" || kind === "deck").slice(0, 2);
    const steps = openRange({ job, parts: few, priceList: starterPriceList, library });
    let step = steps.next();
    while (!step.done) step = steps.next();
    const { value } = step;
    expect(inShort(value)).toMatchSnapshot();
  });
});

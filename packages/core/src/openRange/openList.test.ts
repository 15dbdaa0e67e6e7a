import { partContext, settlePart } from "../assemblies";
import { draftQuote, reckonJob, startJob } from "../job";
import { canBeConfirmed, kindOf, type Part, roofKind, withConfirmed } from "../kinds";
import { planJob } from "../plan";
import { contexts, library, starterCompanySettings, starterPriceList } from "../testing/library";
import { samples } from "../testing/samples";
import { openListOf } from "./openList";

const context = contexts.imperial;
const job = startJob(
  { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const parts = samples
  .flatMap(({ of }) => of)
  .filter(({ system }) => system === "imperial")
  .map(({ part }, index): Part => ({ ...part, id: `part-${index}`, name: `Part ${index}` }));

function listOf(of: readonly Part[]) {
  const reckoning = reckonJob(job, of, starterPriceList, library);
  const { counts, buildUp } = reckoning;
  const list = openListOf({ parts: of, plan: planJob(of), context, counts, problems: buildUp.problems });
  const issue = { number: "D", date: "2026-12-01", company: { name: "N", address: "A" }, context };
  return { list, quote: draftQuote(job, of, reckoning, issue) };
}

describe("the list of what is open", () => {
  it("has as many lines as it says, and the quote says as many as are assumed in it", () => {
    const { list, quote } = listOf(parts);
    const own = list.parts.reduce((sum, { points }) => sum + points.length, 0);
    expect(list.total).toBe(own + list.assumed.length + list.warnings.length);
    expect(list.assumed.length).toBeGreaterThan(5);
    expect(quote.notes[0]).toMatch(new RegExp(`^${list.assumed.length} figures or choices are assumed`));
  });

  it("has nothing assumed left once all that can be confirmed is, of any kind", () => {
    const confirmed = parts.map((part) => {
      const settled = settlePart(part, "imperial", library);
      const points = kindOf(part).openPoints(settled, context);
      const paths = points.map(({ path }) => path).filter((path) => canBeConfirmed(part, path, context));
      return withConfirmed(part, settled, paths, partContext("imperial", library));
    });
    const left = confirmed.flatMap((part) =>
      kindOf(part)
        .openPoints(settlePart(part, "imperial", library), context)
        // What is counted by totals stays open as a whole until it is drawn.
        .filter(({ kind, path }) => kind === "assumed" && path !== "")
        .map(({ path }) => `${part.kind}: ${path}`),
    );
    expect(left).toEqual([]);
  });

  it("takes a roof's pitch that is assumed with the rest of it", () => {
    const roof = roofKind.defaults("r", "Roof", context);
    const [pitch] = roofKind.figures?.(roof) ?? [];
    expect([pitch?.path, pitch?.figure.assumed]).toEqual(["pitch", true]);
    expect(canBeConfirmed(roof, "pitch", context)).toBe(true);
    const now = withConfirmed(roof, roof, ["pitch"], context);
    expect(roofKind.figures?.(now)[0]?.figure).toMatchObject({ value: pitch?.figure.value, assumed: false });
  });
});

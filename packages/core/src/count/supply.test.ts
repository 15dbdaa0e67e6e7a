import { type Assembly, type AssemblyRule, assemblySchema, problemsOf } from "../assemblies";
import { orderTable } from "../formats/tables";
import { countOf, orderAndPrice, startJob } from "../job";
import { assumedDimension, PART_KINDS, type Part, type SpotsPart } from "../kinds";
import { quoteJob } from "../quote";
import { assemblyOf, contexts, library, starterCompanySettings, starterPriceList } from "../testing/library";

/** Who supplies what: counted and fitted all the same, bought by nobody else's money. Amounts worked by hand. */

const start = { title: "Porch", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);

const doors = (choices: Record<string, boolean> = {}, id = "door-set"): SpotsPart => ({
  ...PART_KINDS.spots.defaults("doors", "Doors", contexts.imperial),
  count: 3,
  uses: [{ id: "use", assembly: { id, version: 1 }, choices }],
});
const reckoned = (parts: readonly Part[], assemblies: readonly Assembly[] = library.assemblies) => {
  const own = { ...library, assemblies };
  const counts = countOf(job, parts, starterPriceList, own);
  const { order, buildUp } = orderAndPrice(job, counts, starterPriceList, own);
  if (!buildUp) throw new Error("the job is priced");
  return { counts, order, buildUp, lines: counts.flatMap((count) => count.lines) };
};
const quoted = (parts: readonly Part[], assemblies?: readonly Assembly[]) => {
  const { counts, buildUp } = reckoned(parts, assemblies);
  const { quote: settings, title, customerName, site, system, currency } = job;
  const document = quoteJob({
    assumed: 0,
    number: "1",
    date: "2026-11-02",
    company: { name: "N", address: "A" },
    job: { title, customerName, site, system, currency },
    settings,
    pricing: job.pricing,
    extras: [],
    parts,
    counts,
    options: [],
    buildUp,
  });
  return document.sections.flatMap((section) => section.paragraphs);
};
const withRule = (change: Partial<AssemblyRule>, name = "leaves"): Assembly => {
  const set = assemblyOf("imperial", "door-set");
  return { ...set, rules: set.rules.map((rule) => (rule.name === name ? { ...rule, ...change } : rule)) };
};
const materialOf = ({ buildUp }: ReturnType<typeof reckoned>): string | undefined =>
  buildUp.kinds.find(({ kind }) => kind === "material")?.cost;

describe("what the customer supplies", () => {
  const ours = reckoned([doors()]);
  const theirs = reckoned([doors({ ownDoors: true })]);

  it("is counted as before, with its labour, and not bought", () => {
    expect(theirs.lines.map((line) => [line.rule, line.quantity])).toEqual(
      ours.lines.map((line) => [line.rule, line.quantity]),
    );
    expect(theirs.buildUp.labourHours).toBe(ours.buildUp.labourHours);
    const bought = (order: typeof ours.order) => order.lines.map((line) => line.itemCode);
    expect(bought(ours.order)).toEqual(expect.arrayContaining(["door/leaf", "door/frame"]));
    expect(bought(theirs.order)).toEqual(
      bought(ours.order).filter((code) => !["door/leaf", "door/frame"].includes(code)),
    );
    expect(theirs.buildUp.problems).toEqual(ours.buildUp.problems);
  });

  it("costs nothing here: material falls by what three leaves and frames are in the price list", () => {
    const priceOf = (code: string): number => {
      const line = ours.order.lines.find((each) => each.itemCode === code);
      return Number(line?.unitPrice) * (line?.quantity ?? 0);
    };
    const fallen = Number(materialOf(ours)) - Number(materialOf(theirs));
    expect(fallen).toBeGreaterThan(0);
    expect(fallen).toBeCloseTo(priceOf("door/leaf") + priceOf("door/frame"), 2);
  });

  it("is said: in the order list, its file and the quote", () => {
    expect(theirs.order.supplied).toMatchObject([
      { description: "Door leaves", need: "3 leaves", by: "customer", cost: null },
      { description: "Door frames", need: "3 frames", by: "customer", cost: null },
    ]);
    expect(orderTable(theirs.order).rows.map((row) => row.join("|"))).toContain(
      "Door leaves|3|leaves|3 leaves||Supplied by the customer: not to be bought|door/leaf",
    );
    const said = quoted([doors({ ownDoors: true })]);
    expect(said).toContain("Supplied by you: door leaves, 3 leaves.");
    expect(said).toContain("Hang 3 doors, with hinges and casing.");
    expect(quoted([doors()]).join(" ")).not.toContain("Supplied by you");
  });
});

describe("an allowance", () => {
  const allowed = withRule({ supply: { by: "allowance", rate: "85.50" } });
  const others = [...library.assemblies.filter((each) => each !== assemblyOf("imperial", "door-set")), allowed];

  it("is the amount for each times what is counted, as a cost of its own kind, shared by its part, and said in the quote", () => {
    const result = reckoned([doors()], others);
    // Three at 85.50.
    expect(result.order.supplied).toMatchObject([{ rate: "85.50", cost: "256.50", quantity: "3", unitName: "leaves" }]);
    expect(result.buildUp.lines).toContainEqual(
      expect.objectContaining({ kind: "allowance", description: "Allowance: Door leaves", cost: "256.50" }),
    );
    expect(result.buildUp.byPart[0]?.price).toBe(result.buildUp.priceBeforeTax);
    expect(quoted([doors()], others)).toContain(
      "Allowed for door leaves, 3 leaves: $256.50 in all, at 85.50 for each as counted. What you choose is charged at what it costs.",
    );
  });

  it("is by the square foot where feet are measured: 10 ft by 12 ft 6 in of tiles at 4.20 is 525.00", () => {
    const base = assemblyOf("imperial", "wall-insulation");
    const [rule] = base.rules;
    if (!rule) throw new Error("wall-insulation has rules");
    const tiles: Assembly = {
      ...base,
      id: "tiles",
      appliesTo: "area",
      parameters: [],
      wording: [],
      examples: [],
      rules: [
        {
          name: "tiles",
          label: "Floor tiles",
          trade: "Tiling",
          phase: "Finish",
          formula: "area",
          unit: "area",
          item: "tile/floor",
          buying: "whole",
          sentence: "All of it.",
          supply: { by: "allowance", rate: "4.20" },
          words: "Lay {tiles} of tiles.",
        },
      ],
    };
    const floor: Part = {
      ...PART_KINDS.area.defaults("floor", "Floor", contexts.imperial),
      length: { ...assumedDimension(10 * 304_800_000), assumed: false },
      width: { ...assumedDimension(12.5 * 304_800_000), assumed: false },
      uses: [{ id: "use", assembly: { id: "tiles", version: 1 }, choices: {} }],
    };
    expect(problemsOf(tiles, [])).toEqual([]);
    const result = reckoned([floor], [tiles]);
    expect(result.order.supplied).toMatchObject([{ quantity: "125", unitName: "sq ft", cost: "525.00" }]);
    // Nothing is missing from the price list, though it has no such tile.
    expect(result.buildUp.problems).toEqual([]);
    expect(quoted([floor], [tiles])).toContain("Lay 125 sq ft of tiles.");
  });
});

describe("what is wrong with who supplies a rule", () => {
  const told = (change: Partial<AssemblyRule>, name?: string) =>
    problemsOf(withRule(change, name), []).map(({ path, message }) => `${path}: ${message}`);

  it("is told beside the rule, and the other rules are counted", () => {
    expect(told({ supply: { by: "customer", when: "hinges" } }).join()).toContain("it has to be a yes or no");
    expect(told({ supply: { by: "customer", when: "nobody" } }).join()).toContain("rules.0.supply.when");
    expect(told({ supply: { by: "customer" } }, "hanging").join()).toContain(
      "Hanging doors is hours: nobody supplies that",
    );
    expect(told({ words: "All {leafs} of them" }).join()).toContain("its words name “leafs”");
    const broken = withRule({ supply: { by: "customer", when: "nobody" } });
    const others = [...library.assemblies.filter((each) => each !== assemblyOf("imperial", "door-set")), broken];
    const { lines } = reckoned([doors()], others);
    expect(lines.filter((line) => line.missing !== undefined).map((line) => line.rule)).toEqual(["leaves"]);
    expect(lines.length).toBeGreaterThan(3);
  });

  const assemblySchemaFor = (assembly: Assembly): string =>
    assemblySchema
      .safeParse(assembly)
      .error?.issues.map((each) => each.message)
      .join(" ") ?? "";

  it("an allowance without an amount is refused where assemblies are read", () => {
    const unfit = withRule({ supply: { by: "allowance" } });
    expect(assemblySchemaFor(unfit)).toContain("An allowance needs an amount for each.");
    expect(assemblySchemaFor(withRule({ supply: { by: "allowance", rate: "-4" } }))).toContain("An amount such as 40");
    expect(assemblySchemaFor(withRule({ supply: { by: "allowance", rate: "1e9" } }))).toContain("An amount such as 40");
  });
});

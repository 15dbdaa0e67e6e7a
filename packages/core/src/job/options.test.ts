import Big from "big.js";
import type { Assembly } from "../assemblies";
import { compileAssembly } from "../assemblies/compileAssembly";
import type { StudWall } from "../kinds";
import { assemblyOf, contexts, library, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, sumMoney } from "../units";
import { draftQuote } from "./draftQuote";
import { type Job, startJob } from "./index";
import { countOf, reckonJob } from "./reckonJob";

const start = { title: "T", customerName: "C", site: "S", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const issue = { number: "Draft", date: "2026-12-15", company: { name: "N", address: "A" }, context: contexts.imperial };
const wall = wallOf("imperial", { lengthNm: feet(16), heightNm: feet(8), choices: { boardsNear: 1, insulated: true } });
const base = assemblyOf("imperial");

const INSULATED = "Insulated partitions";
/** The wall's boards, or others of its rules, as an option. */
function withOption(rules: Readonly<Record<string, string>>): Assembly {
  const changed = base.rules.map((rule) => {
    const option = rules[rule.name];
    return option === undefined ? rule : { ...rule, option, words: `Have {${rule.name}} of it, as an option.` };
  });
  return { ...base, rules: changed };
}
const libraryOf = (assembly: Assembly) => ({
  ...library,
  assemblies: [assembly, ...library.assemblies.filter((each) => each !== base)],
});
const reckoned = (assembly: Assembly, taken: readonly string[] = [], walls: StudWall[] = [wall]) => {
  const own: Job = { ...job, optionsTaken: [...taken] };
  const reckoning = reckonJob(own, walls, starterPriceList, libraryOf(assembly));
  return { ...reckoning, quote: draftQuote(own, walls, reckoning, issue) };
};
const optionOf = (found: ReturnType<typeof reckoned>, name: string) =>
  found.buildUp.options?.find((each) => each.name === name);
const boardsRule = base.rules.find((rule) => rule.item.includes("boardSheet"))?.name ?? "";

describe("a rule of an option", () => {
  const optional = withOption({ [boardsRule]: INSULATED });
  const plain = reckoned(base);
  const apart = reckoned(optional);
  const taken = reckoned(optional, [INSULATED]);

  it("is counted, and neither ordered nor priced until it is taken", () => {
    const line = apart.counts[0]?.lines.find((each) => each.rule === boardsRule);
    expect(line).toMatchObject({ option: { name: INSULATED }, note: `Option: ${INSULATED}` });
    const boards = (found: typeof apart) => found.order.lines.filter((each) => each.itemCode.startsWith("sheet/board"));
    expect(boards(apart)).toEqual([]);
    expect(boards(taken)).toEqual(boards(plain));
    expect(Number(apart.buildUp.total)).toBeLessThan(Number(plain.buildUp.total));
  });

  it("taken comes to the same price as a rule of no option: the other lines are as they were", () => {
    const ofNone = taken.buildUp.ledger.map((line) => ({ ...line, option: "" }));
    expect({ ...taken.buildUp, ledger: ofNone, options: undefined }).toEqual({ ...plain.buildUp, options: undefined });
    expect(taken.buildUp.ledger.some(({ option }) => option === INSULATED)).toBe(true);
    expect(plain.buildUp.options).toBeUndefined();
  });

  it("has as its price what the total is more by, taken or not", () => {
    const difference = new Big(taken.buildUp.total).minus(apart.buildUp.total).toFixed(2);
    expect(optionOf(apart, INSULATED)).toMatchObject({ taken: false, difference });
    expect(optionOf(taken, INSULATED)).toMatchObject({ taken: true, difference });
    expect(Number(difference)).toBeGreaterThan(0);
  });

  it("is said in the quote beside the price, and once taken among what is done", () => {
    const words = apart.quote.options[0]?.paragraphs.join(" ") ?? "";
    expect(words).toMatch(/^Have .* of it, as an option\.$/);
    expect(apart.quote.sections[0]?.paragraphs.join(" ")).not.toContain("as an option");
    expect(taken.quote.sections[0]?.paragraphs).toContain(words);
    expect(apart.quote.options).toMatchObject([{ name: INSULATED, taken: false }]);
    for (const { quote } of [apart, taken])
      expect(sumMoney(quote.sections.map((section) => section.price ?? "0"))).toBe(quote.priceBeforeTax);
  });

  it("takes no sheets from those of others: two walls share theirs only where both are in the job", () => {
    const walls = [wall, { ...wall, id: "second" }];
    const lines = reckoned(optional, [], walls).counts.flatMap((count) => count.lines);
    expect(lines.filter((each) => each.rule === boardsRule && each.ordered !== undefined)).toEqual([]);
  });
});

describe("several options", () => {
  const [first, second] = base.rules
    .filter((rule) => rule.item !== "" && rule.name !== boardsRule)
    .map((rule) => rule.name);
  const two = withOption({ [boardsRule]: "Boards", [first ?? ""]: "Other", [second ?? ""]: "Other" });

  it("are priced each with the others as they are, and rules of one name are one", () => {
    const none = reckoned(two);
    const both = reckoned(two, ["Boards", "Other"]);
    expect(none.buildUp.options?.map((each) => each.name).toSorted()).toEqual(["Boards", "Other"]);
    const total = (taken: string[]) => reckoned(two, taken).buildUp.total;
    const difference = new Big(total(["Boards", "Other"])).minus(total(["Other"])).toFixed(2);
    expect(optionOf(both, "Boards")?.difference).toBe(difference);
    expect(both.buildUp.total).toBe(reckoned(base).buildUp.total);
  });

  it("more than twenty of them are told, and the first twenty priced", () => {
    const rule = base.rules.find((each) => each.name === boardsRule);
    if (!rule) throw new Error("no boards");
    const many = Array.from({ length: 22 }, (_, at) => ({ ...rule, name: `boards${at}`, option: `Boards ${at}` }));
    const { buildUp } = reckoned({ ...base, rules: [...base.rules, ...many] });
    expect(buildUp.options).toHaveLength(20);
    expect(buildUp.problems.map((each) => each.message).join(" ")).toContain("“Boards 20” and 1 more are not priced.");
  });

  it("of which one is taken that nothing belongs to any more say so", () => {
    expect(optionOf(reckoned(base, ["Gone"]), "Gone")).toEqual({
      name: "Gone",
      taken: true,
      difference: "0.00",
      words: ["Nothing in the job belongs to it any more."],
    });
  });
});

describe("options and those who see no costs", () => {
  it("are named by their counts, and nothing of their price is there", () => {
    const counts = countOf(job, [wall], starterPriceList, libraryOf(withOption({ [boardsRule]: INSULATED })));
    expect(JSON.stringify(counts)).toContain(INSULATED);
    expect(JSON.stringify(counts)).not.toContain("difference");
  });

  it("of a step for other rules is told when the assembly is checked", () => {
    const step = { ...base.rules[0], name: "step", label: "Step", formula: "1", unit: "piece", item: "", option: "X" };
    const { when: _when, task: _task, ...rule } = step as (typeof base.rules)[number];
    const { problems } = compileAssembly({ ...base, rules: [{ ...rule, buying: "whole" }] });
    expect(problems.map((each) => each.code)).toContain("nothing-in-option");
  });
});

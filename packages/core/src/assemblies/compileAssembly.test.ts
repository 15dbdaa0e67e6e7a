import { assemblyOf } from "../testing/library";
import { type Assembly, type AssemblyRule, blankAssembly, compileAssembly, plainSet, settleParameters } from "./index";

const rule = (name: string, formula: string, more: Partial<AssemblyRule> = {}): AssemblyRule => ({
  name,
  label: name,
  trade: "Framing",
  phase: "",
  formula,
  unit: "piece",
  item: "nail/16d",
  buying: "whole",
  sentence: "So many.",
  ...more,
});

const withRules = (...rules: AssemblyRule[]): Assembly => ({
  ...blankAssembly("test", "Test", "imperial", "stud-wall"),
  rules,
});
const problemsOf = (assembly: Assembly) => compileAssembly(assembly).problems;

describe("an assembly", () => {
  it("is compiled once", () => {
    const assembly = assemblyOf("imperial");
    expect(compileAssembly(assembly)).toBe(compileAssembly(assembly));
  });

  it("works rules out after those they use, in whatever order they are written", () => {
    const { inOrder, problems } = compileAssembly(
      withRules(rule("b", "a * 2"), rule("c", "a + b"), rule("a", "openings")),
    );
    expect(problems).toEqual([]);
    expect(inOrder.map((each) => each.rule.name)).toEqual(["a", "b", "c"]);
  });

  it("names the rules of a circle, and leaves the others sound", () => {
    const { inOrder, problems } = compileAssembly(
      withRules(rule("a", "b + 1"), rule("b", "c + 1"), rule("c", "a + 1"), rule("d", "openings")),
    );
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({
      code: "cycle",
      message: "“a” needs “b” needs “c” needs “a”: they go round in a circle, and none can be worked out.",
    });
    expect(inOrder.map((each) => each.rule.name)).toEqual(["d"]);
  });

  it("says so where a formula gives another unit than the rule is counted in", () => {
    expect(problemsOf(withRules(rule("a", "netArea")))[0]?.message).toBe(
      "a is a count of “piece”, and the formula gives an area.",
    );
    expect(problemsOf(withRules(rule("a", "netArea", { unit: "area" })))).toEqual([]);
    expect(problemsOf(withRules(rule("a", "openings", { unit: "area" })))[0]?.code).toBe("wrong-unit");
  });

  it.each(["ft", "in", "m2", "if", "and", "true", "constructor", "toString", "section"])(
    "refuses “%s” as a name, and says why",
    (name) => {
      const parameter = { name, label: "P", kind: "number" as const, default: 1 };
      const told = (assembly: Assembly) => problemsOf(assembly).filter((each) => each.code === "reserved-name");
      expect(told({ ...withRules(), parameters: [parameter] })).toMatchObject([{ path: "parameters.0.name" }]);
      expect(told(withRules(rule(name, "openings")))[0]?.message).toContain(`“${name}`);
    },
  );

  it("tells a framing choice compared with what no wall is, and takes what any wall can be", () => {
    const when = (text: string) => problemsOf(withRules(rule("a", "openings", { when: text })));
    expect(when('cornerStyle == "five-stud"')[0]?.code).toBe("no-such-choice");
    expect(when('cornerStyle == "four-stud"')).toEqual([]);
  });

  it("cuts only what is counted in pieces", () => {
    expect(problemsOf(withRules(rule("a", 'pieces("stud") * 2', { buying: "cut" })))[0]?.code).toBe(
      "cut-counts-pieces",
    );
    expect(problemsOf(withRules(rule("a", 'pieces("stud", "king")', { buying: "cut" })))).toEqual([]);
  });

  it("knows each name once, and the item's names as well", () => {
    const codes = problemsOf(
      withRules(
        rule("length", "openings"),
        rule("twice", "openings"),
        rule("twice", "openings", { item: "sheet/{size}" }),
      ),
    ).map((each) => each.code);
    expect(codes.toSorted()).toEqual(["name-taken", "name-taken", "unknown-name"]);
  });

  it("takes a condition that is a yes or no, and no other", () => {
    expect(problemsOf(withRules(rule("a", "openings", { when: "openings" })))[0]?.code).toBe("not-yes-no");
    expect(problemsOf(withRules(rule("a", "openings", { when: "bearing" })))).toEqual([]);
  });

  it("begins sound from a plain set", () => {
    expect(problemsOf(plainSet("post-set", "Post set", "metric"))).toEqual([]);
  });
});

describe("a parameter", () => {
  const set = plainSet("set", "Set", "imperial");
  const standard = {
    schemaVersion: 2 as const,
    tables: [],
    id: "house",
    version: 1,
    name: "House",
    system: "imperial" as const,
    parameters: [
      { assemblyId: "", name: "hoursEach", value: 0.75 },
      { assemblyId: "set", name: "partsEach", value: 4 },
      { assemblyId: "", name: "partsEach", value: 9 },
    ],
    waste: [],
    productivity: [],
  };
  const values = (choices: Record<string, number>) =>
    Object.fromEntries(
      [...settleParameters(set, choices, standard).settled].map(([name, { value, from }]) => [name, [value, from]]),
    );

  it("is what a person chose, else the house's, else the assembly's; the house's own line goes before the one for all", () => {
    expect(values({ hoursEach: 1 })).toEqual({ hoursEach: [1, "part"], partsEach: [4, "house"] });
    expect([...settleParameters(set, {}, undefined).settled.values()].map((each) => each.from)).toEqual([
      "assembly",
      "assembly",
    ]);
  });

  it("out of its limits is told, and the next in line is used", () => {
    const { settled, problems } = settleParameters(set, { hoursEach: 500 }, standard);
    expect(settled.get("hoursEach")).toEqual({ value: 0.75, from: "house" });
    expect(problems[0]?.message).toBe("Hours for one is 500; it is at most 100. The next in line is used.");
  });

  it("of the wrong sort is told", () => {
    expect(settleParameters(set, { hoursEach: "long" }, undefined).problems[0]?.message).toContain(
      "“long” is no value",
    );
  });
});

import { countPart } from "../count";
import { library, wallOf } from "../testing/library";
import { feet } from "../units";
import { assembledFrom, lackingBases } from "./basedOn";
import { problemsOf } from "./compileAssembly";
import { findAssembly } from "./library";
import type { Assembly } from "./schema";
import { blankAssembly } from "./starts";

const rule = (name: string, formula: string) => ({
  name,
  label: name,
  trade: "T",
  phase: "",
  formula,
  unit: "piece",
  item: "x",
  buying: "whole" as const,
  sentence: "So many.",
});
const make = (id: string, changes: Partial<Assembly> = {}): Assembly => ({
  ...blankAssembly(id, id, "metric", "room"),
  ...changes,
});
const base = make("base", {
  parameters: [{ name: "each", label: "Each", kind: "number", default: 2 }],
  rules: [rule("a", "each"), rule("b", "a * 2"), rule("c", "1")],
  wording: [{ text: "Base." }],
});
const on = (changes: Partial<Assembly> = {}) => make("own", { basedOn: { id: "base", version: 1 }, ...changes });

describe("an assembly that builds on another", () => {
  it("has all of it, changed by name in its place, less what it leaves out, and its own after that", () => {
    const own = on({
      parameters: [{ name: "each", label: "Each", kind: "number", default: 5 }],
      rules: [rule("b", "a * 3"), rule("d", "b + 1")],
      leavesOut: { rules: ["c"], parameters: [] },
    });
    const { assembly, problems } = assembledFrom(own, [base, own]);
    expect(problems).toEqual([]);
    expect(assembly.rules.map(({ name, formula }) => [name, formula])).toEqual([
      ["a", "each"],
      ["b", "a * 3"],
      ["d", "b + 1"],
    ]);
    expect(assembly.parameters.map((each) => each.default)).toEqual([5]);
    expect(assembly.wording).toEqual([{ text: "Base." }]);
    expect("basedOn" in assembly).toBe(false);
    // Its own words stand in place of the base's.
    expect(assembledFrom(on({ wording: [{ text: "Own." }] }), [base]).assembly.wording).toEqual([{ text: "Own." }]);
  });

  it("may build on one that builds on a third, and is the same object while nothing changes", () => {
    const middle = make("middle", { basedOn: { id: "base", version: 1 }, rules: [rule("m", "a + b")] });
    const own = make("own", { basedOn: { id: "middle", version: 1 }, rules: [rule("o", "m")] });
    const all = [base, middle, own];
    expect(assembledFrom(own, all).assembly.rules.map(({ name }) => name)).toEqual(["a", "b", "c", "m", "o"]);
    expect(assembledFrom(own, all).assembly).toBe(assembledFrom(own, all).assembly);
    expect(lackingBases([own, middle])).toEqual([{ id: "base", version: 1 }]);
  });

  it.each([
    [
      "a version that is not there",
      on({ basedOn: { id: "base", version: 9 } }),
      /“base”, version 9, which is not there/,
    ],
    ["itself", on({ basedOn: { id: "own", version: 1 } }), /builds on itself/],
    ["one for another kind of part", on({ appliesTo: "area" }), /for another kind of part/],
  ])("on %s has its own rules alone, and it is said", (_, own, message) => {
    const mine = { ...own, rules: [rule("d", "1")] };
    const { assembly, problems } = assembledFrom(mine, [base, mine]);
    expect(problems.map((each) => each.message).join(" ")).toMatch(message);
    expect(assembly.rules.map(({ name }) => name)).toEqual(["d"]);
  });

  it("in a circle of two is said, and goes round no further", () => {
    const one = make("one", { basedOn: { id: "two", version: 1 }, rules: [rule("x", "1")] });
    const two = make("two", { basedOn: { id: "one", version: 1 }, rules: [rule("y", "1")] });
    const { problems, assembly } = assembledFrom(one, [one, two]);
    expect(problems).toHaveLength(1);
    expect(problems[0]?.message).toMatch(/builds on itself, by way of “one”, version 1/);
    expect(assembly.rules.map(({ name }) => name)).toEqual(["y", "x"]);
  });

  it("says what it leaves out that is not there, and where a mistake is among its own rules", () => {
    const own = on({ leavesOut: { rules: ["z"], parameters: [] }, rules: [rule("d", "nothing")] });
    expect(problemsOf(own, [base]).map(({ path, message }) => [path, message])).toEqual([
      ["rules.0.formula", "There is no “nothing” here."],
      ["leavesOut", "“own” leaves out “z”, which “base” does not have."],
    ]);
  });

  it("with its base gone is said where a part is counted by it, and the rest is counted", () => {
    const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), assemblyId: "outside-wall" });
    const without = { ...library, assemblies: library.assemblies.filter(({ id }) => id !== "inside-wall") };
    const count = countPart(wall, "imperial", without);
    expect(count.problems.map((each) => each.message).join(" ")).toMatch(
      /builds on “inside-wall”, version 1, which is not there/,
    );
    expect(countPart(wall, "imperial", library).lines.length).toBeGreaterThanOrEqual(8);
  });
});

describe("the starter walls", () => {
  it("build on one: a rule corrected there is corrected in all of them", () => {
    for (const system of ["imperial", "metric"] as const) {
      const named = (id: string, from = library) => findAssembly({ id, version: 1 }, system, from);
      const corrected = library.assemblies.map((each) =>
        each.id === "inside-wall"
          ? { ...each, rules: each.rules.map((one) => (one.name === "studs" ? { ...one, label: "Corrected" } : one)) }
          : each,
      );
      for (const id of ["outside-wall", "partition", "party-wall"]) {
        expect(library.assemblies.find((each) => each.id === id)?.rules.length).toBeLessThan(3);
        expect(named(id)?.rules.length).toBeGreaterThanOrEqual(38);
        const studs = named(id, { ...library, assemblies: corrected })?.rules.find(({ name }) => name === "studs");
        expect(studs?.label).toBe("Corrected");
      }
    }
  });
});

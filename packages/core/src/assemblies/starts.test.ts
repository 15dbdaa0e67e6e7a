import { PART_KINDS } from "../kinds";
import { assemblyOf, contexts } from "../testing/library";
import { newestAssemblies, usedAssemblies } from "./library";
import { assemblyId, copyAssembly, plainSet } from "./starts";

describe("an assembly's id", () => {
  it("is its name in small letters, digits and hyphens, and never one there is", () => {
    expect(assemblyId("Ceiling, 2 layers!", new Set())).toBe("ceiling-2-layers");
    expect(assemblyId("Skirting", new Set(["skirting"]))).toBe("skirting-2");
    expect(assemblyId("Skirting", new Set(["skirting", "skirting-2", "skirting-3"]))).toBe("skirting-4");
    expect(assemblyId("漆喰", new Set())).toBe("assembly");
    expect(assemblyId("x".repeat(80), new Set())).toBe("x".repeat(50));
  });

  it("begins, where it is a set for each, with half an hour and three parts that a person changes", () => {
    expect(
      plainSet("set", "Set", "imperial").parameters.map(({ name, default: usual, least, most }) => [
        name,
        usual,
        least,
        most,
      ]),
    ).toEqual([
      ["hoursEach", 0.5, 0, 100],
      ["partsEach", 3, 0, 1000],
    ]);
  });

  it("of a copy begins its versions anew", () => {
    const from = { ...assemblyOf("imperial"), version: 7 };
    expect(copyAssembly(from, "mine", "Mine")).toEqual({ ...from, id: "mine", name: "Mine", version: 1 });
  });
});

describe("versions", () => {
  const wall = assemblyOf("imperial");
  const second = { ...wall, version: 2 };
  const metric = assemblyOf("metric", wall.id);

  it("of one id are known by their newest, in either order and by measuring system", () => {
    expect(newestAssemblies("imperial", [wall, second, metric])).toEqual([second]);
    expect(newestAssemblies("imperial", [second, wall])).toEqual([second]);
    expect(newestAssemblies("metric", [wall, second, metric])).toEqual([metric]);
  });

  it("that parts are counted with are each named once", () => {
    const built = PART_KINDS["stud-wall"].defaults("w", "Wall", contexts.imperial);
    const use = (id: string, version: number) => ({ id: `${id}${version}`, assembly: { id, version }, choices: {} });
    const length = PART_KINDS.length.defaults("l", "Length", contexts.imperial);
    const refs = usedAssemblies([
      { ...built, uses: [use("paint", 1), use("paint", 2)] },
      { ...length, uses: [use("paint", 2)] },
    ]);
    expect(refs).toEqual([built.assembly, { id: "paint", version: 1 }, { id: "paint", version: 2 }]);
  });
});

import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import { assemblyJsonSchema, compileAssembly, newestAssembled, runExamples } from "@wide-porch/core/reckoning";
import Ajv2020 from "ajv/dist/2020";
import { library, starterAssemblies, starterPriceList, starterStandards } from "./index";

describe("the starter assemblies", () => {
  it.each(starterAssemblies.map((each) => [`${each.id}, ${each.system}`, each] as const))(
    "%s has sound formulas, and its worked examples come out",
    (_, assembly) => {
      expect(compileAssembly(assembly).problems).toEqual([]);
      const failing = runExamples(assembly, library).filter((each) => !each.passes);
      expect(failing).toEqual([]);
    },
  );

  it("fit the published JSON Schema", () => {
    const validate = new Ajv2020({ strict: false }).compile(assemblyJsonSchema());
    for (const each of starterAssemblies) {
      expect([each.id, validate(each), validate.errors]).toEqual([each.id, true, null]);
    }
  });

  it("have the committed schema for the one the program reads by", () => {
    const committed = readFileSync(resolve(__dirname, "../docs/schemas/assembly.schema.json"), "utf8");
    expect(JSON.parse(committed)).toEqual(JSON.parse(JSON.stringify(assemblyJsonSchema())));
  });

  it("come in both systems, with items of the price list for all that has a fixed code", () => {
    const ids = (system: string) => starterAssemblies.filter((each) => each.system === system).map((each) => each.id);
    expect(ids("imperial").toSorted()).toEqual(ids("metric").toSorted());
    const codes = new Set(starterPriceList.map((item) => item.code));
    const asked = starterAssemblies.flatMap((each) => each.rules.map((rule) => rule.item));
    const missing = asked.filter((item) => item !== "" && !item.includes("{") && !codes.has(item));
    expect(missing).toEqual([]);
  });

  it("ask for all that the starter standards set, with what they build on", () => {
    const unknown = starterStandards.flatMap((standard) => {
      const assemblies = newestAssembled(standard.system, starterAssemblies);
      const asks = (id: string, name: string) =>
        assemblies.some((each) => (id === "" || each.id === id) && each.parameters.some((one) => one.name === name));
      return standard.parameters
        .filter((each) => !asks(each.assemblyId, each.name))
        .map((each) => `${standard.name}: ${each.assemblyId}.${each.name}`);
    });
    expect(unknown).toEqual([]);
  });
});

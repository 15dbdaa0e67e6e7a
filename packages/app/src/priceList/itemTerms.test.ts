import { starterPriceList } from "@wide-porch/library";
import { draftOf, itemFromDraft } from "./itemDraft";
import { loadsFrom, noTerms, wrongTerms } from "./itemTerms";

const concrete = starterPriceList.find(({ code }) => code === "concrete/c25-30");
if (!concrete) throw new Error("the starter list has no concrete");

describe("what comes by the truck", () => {
  it("is typed as it was, and nothing for what nobody said", () => {
    const read = itemFromDraft(draftOf(concrete), concrete);
    expect(read).toEqual({ ok: true, item: concrete });
    expect(loadsFrom(noTerms)).toBeNull();
    expect(loadsFrom({ ...noTerms, truckTakes: "24", truckLeast: "", eachShort: "9.00" })).toEqual({
      most: 24,
      least: 0,
      shortLoad: "0",
      eachShort: "9.00",
    });
  });

  it.each<[string, Partial<typeof noTerms>, keyof typeof noTerms]>([
    ["no truck", { truckTakes: "0" }, "truckTakes"],
    ["half a step", { truckTakes: "2.5" }, "truckTakes"],
    ["words", { truckTakes: "many" }, "truckTakes"],
    ["a least over what it takes", { truckTakes: "8", truckLeast: "9" }, "truckLeast"],
    ["less than nothing", { truckTakes: "8", truckLeast: "-1" }, "truckLeast"],
    ["a charge in words", { truckTakes: "8", eachShort: "dear" }, "eachShort"],
    ["a charge below nothing", { truckTakes: "8", shortLoad: "-5" }, "shortLoad"],
  ])("refuses %s", (_, typed, name) => {
    expect(wrongTerms({ ...noTerms, ...typed }, "material")[name]).toBeTruthy();
    expect(itemFromDraft({ ...draftOf(concrete), ...typed }, concrete).ok).toBe(false);
  });
});

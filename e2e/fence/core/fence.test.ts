import { assemblySchema } from "../../assemblies";
import { countPart } from "../../count";
import { measured } from "../../parts/dimension";
import { describeKind } from "../../testing/describeKind";
import { contexts, library } from "../../testing/library";
import { feet } from "../../units";
import stored from "./fence.json";
import { type Fence, fenceKind } from "./index";

const fence: Fence = {
  ...fenceKind.defaults("f", "Back fence", contexts.imperial),
  length: measured(feet(40), "40'"),
  height: measured(feet(6), "6'"),
};
const assembly = assemblySchema.parse(stored);

describeKind(fenceKind, [{ system: "imperial", part: fence, assemblies: [assembly] }]);

/** Arithmetic. */
it("a fence of 40 ft has six posts at 8 ft, ten rails in five bays and 88 boards of 5 1/2 in", () => {
  const { lines, problems } = countPart(fence, "imperial", { ...library, assemblies: [assembly] });
  expect(problems).toEqual([]);
  expect(lines.map((line) => [line.rule, line.quantity])).toEqual([
    ["posts", 6],
    ["rails", 10],
    ["boards", 88],
    ["building", 6],
  ]);
});

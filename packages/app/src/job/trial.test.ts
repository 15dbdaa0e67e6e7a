import { PART_KINDS, partContext, type StudWall } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import type { Step } from "./history";
import { asOneStep } from "./trial";

const context = partContext("imperial", library);
const wall = (name: string): StudWall => ({ ...PART_KINDS["stud-wall"].defaults("w", name, context), name });
const partStep = (before: StudWall | undefined, after: StudWall | undefined): Step => ({
  changes: [{ kind: "part", id: "w", before, after }],
});

describe("what was tried, taken as one step", () => {
  it("goes from what each record was at first to what it is at last", () => {
    const [a, b, c] = [wall("a"), wall("b"), wall("c")];
    const { changes } = asOneStep([partStep(a, b), partStep(b, c)]);
    expect(changes).toEqual([{ kind: "part", id: "w", before: a, after: c }]);
  });

  it("leaves out what came and went, and keeps the first and last of each field of the job", () => {
    const job = (before: object, after: object): Step => ({ changes: [{ kind: "job", before, after }] });
    const { changes } = asOneStep([
      partStep(undefined, wall("a")),
      job({ title: "A" }, { title: "B" }),
      partStep(wall("a"), undefined),
      job({ title: "B", site: "x" }, { title: "C", site: "y" }),
    ]);
    expect(changes).toEqual([{ kind: "job", before: { title: "A", site: "x" }, after: { title: "C", site: "y" } }]);
    expect(asOneStep([]).changes).toEqual([]);
  });
});

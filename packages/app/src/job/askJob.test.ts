import { partContext, startJob, studWallKind } from "@wide-porch/core/reckoning";
import { library, starterCompanySettings } from "@wide-porch/library";
import type { FullJob, JobRecord, PartRecord } from "../api/records";
import { withChanges } from "./askJob";

const context = partContext("imperial", library);
const part = (id: string, revision: number, name = id): PartRecord => ({
  id,
  revision,
  binned: false,
  part: studWallKind.defaults(id, name, context),
});
const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const record = (revision: number): JobRecord => ({
  id: "job",
  revision,
  updatedAt: "2026-11-01T08:00:00.000Z",
  job: startJob(start, starterCompanySettings),
});
const [first, second] = library.assemblies;
if (!first || !second) throw new Error("the library has assemblies");
const before: FullJob = {
  change: 7,
  job: record(3),
  parts: [part("a", 2), part("b", 1)],
  unknownParts: [],
  assemblies: [first],
  standard: null,
};
const nothing = { job: record(3), parts: [], unknownParts: [], binned: [], assemblies: [], standard: null };

describe("a job brought up to date", () => {
  it("takes what is newer and new, in the job's order, and keeps the rest as the same objects", () => {
    const changed = part("b", 2, "Longer");
    const added = part("c", 1);
    const now = withChanges(before, 9, { ...nothing, parts: [changed, added], assemblies: [second] });
    expect(now.change).toBe(9);
    expect(now.parts).toEqual([before.parts[0], changed, added]);
    expect(now.parts[0]).toBe(before.parts[0]);
    expect(now.job).toBe(before.job);
    expect(now.assemblies).toEqual([first, second]);
  });

  it("leaves out what was binned since, and nothing that is newer than that", () => {
    const binned = [
      { id: "a", revision: 3 },
      { id: "b", revision: 0 },
    ];
    expect(withChanges(before, 8, { ...nothing, binned }).parts.map((each) => each.id)).toEqual(["b"]);
  });

  it("never goes back to an older state of a part: the answer may have been overtaken", () => {
    const now = withChanges(before, 8, { ...nothing, job: record(2), parts: [part("a", 1, "Older")] });
    expect(now.parts[0]?.part.name).toBe("a");
    expect(now.job.revision).toBe(3);
  });

  it("moves a part between those that are known and those that are not", () => {
    const unknown = { id: "a", name: "A", why: "newer", stored: {} };
    const away = withChanges(before, 8, { ...nothing, unknownParts: [unknown] });
    expect(away.parts.map((each) => each.id)).toEqual(["b"]);
    expect(away.unknownParts).toEqual([unknown]);
    const back = withChanges(away, 9, { ...nothing, parts: [part("a", 3)] });
    expect(back.parts.map((each) => each.id)).toEqual(["b", "a"]);
    expect(back.unknownParts).toEqual([]);
  });
});

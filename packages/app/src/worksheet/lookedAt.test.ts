import { type LedgerLine, newExtra, reckonJob, startJob } from "@wide-porch/core/reckoning";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import { allSeen, goneSince, marksOf, wasText } from "./lookedAt";

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "metric", currency: "GBP" },
  starterCompanySettings,
);
const ledgerOf = (...extras: readonly (readonly [id: string, cost: string])[]): readonly LedgerLine[] => {
  const pricing = { ...job.pricing, extras: extras.map(([id, cost]) => newExtra(id, "material", id, cost)) };
  return reckonJob({ ...job, pricing }, [], starterPriceList, library).buildUp.ledger;
};

describe("lines that changed since they were looked at", () => {
  const looked = allSeen(ledgerOf(["a", "10"], ["b", "20"], ["c", "30"]));
  const now = ledgerOf(["a", "10"], ["b", "25"], ["d", "5"]);

  it("are marked with what they were, new ones as new, and those as before not at all", () => {
    const marks = marksOf(now, looked);
    expect([...marks.keys()]).toEqual(["extra/b", "extra/d"]);
    expect([...marks.values()].map(wasText)).toEqual(["was 1 at 20, 20.00", "new since you last looked"]);
    expect(marksOf(now, allSeen(now)).size).toBe(0);
  });

  it("and those that are gone are known by what they cost", () => {
    expect(goneSince(now, looked)).toEqual([{ quantity: "1", rate: "30", cost: "30.00" }]);
  });
});

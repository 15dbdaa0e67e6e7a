import type { PartCount } from "@wide-porch/core";
import { LatestCounts } from "./latestCounts";

const count = (partId: string): PartCount => ({
  partId,
  partName: partId,
  waits: false,
  compared: [],
  lines: [],
  scope: [],
  pieces: [],
  drawing: { kind: "none" },
  problems: [],
  openPoints: [],
});

describe("the latest counts", () => {
  it("are told to those who listen, until they stop", () => {
    const latest = new LatestCounts();
    const heard = jest.fn();
    const stop = latest.subscribe(heard);
    latest.set([count("a")]);
    expect(heard).toHaveBeenCalledTimes(1);
    stop();
    latest.set([count("b")]);
    expect(heard).toHaveBeenCalledTimes(1);
  });

  it("are those of the last reckoning and no earlier one; an unchanged one is the same object", () => {
    const latest = new LatestCounts();
    const [a, b] = [count("a"), count("b")];
    latest.set([a, b]);
    latest.set([a]);
    expect(latest.of("a")).toBe(a);
    expect(latest.of("b")).toBeUndefined();
  });
});

import { clockAheadMs, clockText, noteServerTime, subscribeToClock } from "./clock";

const server = "Wed, 25 Nov 2026 01:00:00 GMT";
const serverMs = Date.parse(server);
const HOUR_MS = 3_600_000;

describe("the device's clock", () => {
  it("is near enough within five minutes, and is told of once beyond", () => {
    const told = jest.fn();
    const stop = subscribeToClock(told);
    noteServerTime(server, serverMs + 4 * 60_000);
    expect(clockAheadMs()).toBe(0);
    noteServerTime(server, serverMs + 3 * HOUR_MS);
    noteServerTime(server, serverMs + 3 * HOUR_MS + 900);
    expect(clockAheadMs()).toBe(3 * HOUR_MS);
    expect(told).toHaveBeenCalledTimes(1);
    noteServerTime(null, 0);
    noteServerTime("never", 0);
    expect(clockAheadMs()).toBe(3 * HOUR_MS);
    noteServerTime(server, serverMs);
    expect(clockAheadMs()).toBe(0);
    stop();
  });

  it.each([
    [3 * HOUR_MS, "3 hours fast"],
    [-12 * 60_000, "12 minutes slow"],
    [-25 * HOUR_MS, "1 day slow"],
    [HOUR_MS, "1 hour fast"],
  ])("is said in words: %d", (byMs, words) => expect(clockText(byMs)).toBe(words));
});

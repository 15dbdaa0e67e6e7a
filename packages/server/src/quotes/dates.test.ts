import { dayIn, quoteDate } from "./dates";

/** Time zones and their offsets: IANA time zone database, as Node ships it. */
describe("the date on a quote", () => {
  const lateInLondon = new Date("2026-11-27T23:30:00Z");

  it("is the one where the company is, where a device does not say", () => {
    expect(dayIn("Europe/London", lateInLondon)).toBe("2026-11-27");
    expect(dayIn("Pacific/Auckland", lateInLondon)).toBe("2026-11-28");
    expect(quoteDate(undefined, "Pacific/Auckland", lateInLondon)).toBe("2026-11-28");
    expect(quoteDate(undefined, undefined, lateInLondon)).toBe("2026-11-27");
  });

  it("is the device's own, unless no place on earth has it", () => {
    expect(quoteDate("2026-11-28", "UTC", lateInLondon)).toBe("2026-11-28");
    expect(quoteDate("2026-12-24", "Pacific/Auckland", lateInLondon)).toBe("2026-11-28");
  });
});

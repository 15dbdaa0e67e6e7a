import { companyProfileSchema, detailLines, isTimeZone, plainProfile } from "./companyProfile";

describe("what a company is", () => {
  it("is said line by line, without what is not there", () => {
    const registers = [{ name: "VAT no.", number: "GB 123 4567 89" }];
    expect(detailLines({ ...plainProfile, phone: "01555 010203", email: " ", registers })).toEqual([
      "01555 010203",
      "VAT no. GB 123 4567 89",
    ]);
    expect(detailLines(plainProfile)).toEqual([]);
  });

  it.each(["Europe/London", "America/St_Johns", "UTC"])("knows the time zone %s", (name) =>
    expect(isTimeZone(name)).toBe(true),
  );
  it.each(["", "Marlcroft", "Europe/London; DROP"])("knows no time zone “%s”", (name) =>
    expect(isTimeZone(name)).toBe(false),
  );

  it.each([
    { timeZone: "Moon" },
    { currency: "QQQ" },
    { registers: Array.from({ length: 7 }, () => ({ name: "a", number: "1" })) },
    { registers: [{ name: " ", number: "1" }] },
    { mark: "../../etc" },
    { phone: "1".repeat(61) },
  ])("refuses %j", (wrong) =>
    expect(companyProfileSchema.safeParse({ ...plainProfile, ...wrong }).success).toBe(false),
  );
});

import { quoteNumber, quoteNumberingSchema, usualNumbering } from "./numbering";

describe("quote numbers", () => {
  it("are the year and four digits where nobody says otherwise", () => {
    expect(quoteNumber(usualNumbering, 2026, 7)).toBe("2026-0007");
    expect(quoteNumber(usualNumbering, 2026, 12345)).toBe("2026-12345");
  });

  it("carry what a company writes before them, and go on over the years", () => {
    const numbering = { prefix: "FH/", byYear: false, digits: 6, firstNumber: 412 };
    expect(quoteNumber(numbering, 2026, 412)).toBe("FH/000412");
    expect(quoteNumber({ ...numbering, byYear: true, digits: 1 }, 2027, 3)).toBe("FH/2027-3");
  });

  it.each([
    { prefix: "Angebot №" },
    { prefix: "a".repeat(13) },
    { digits: 0 },
    { digits: 2.5 },
    { firstNumber: 0 },
    { firstNumber: 1e9 },
  ])("refuse %j", (wrong) => {
    expect(quoteNumberingSchema.safeParse({ ...usualNumbering, ...wrong }).success).toBe(false);
  });
});

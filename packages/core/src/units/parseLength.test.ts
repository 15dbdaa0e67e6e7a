import fc from "fast-check";
import { formatFeetAndInches, formatMillimetres } from "./formatLength";
import { feet, inches, metres, millimetres, type Nanometres, NM_PER_64TH_INCH } from "./length";
import { parseLength } from "./parseLength";

const read = (text: string, system: "imperial" | "metric" = "imperial"): Nanometres | string => {
  const result = parseLength(text, system);
  return result.ok ? result.value : result.problem.code;
};

describe("parseLength", () => {
  // The definition of the inch: 25.4 mm exactly (NIST SP 811, appendix B).
  it.each([
    ["12'6 1/2", inches(150.5)],
    ["12' 6 1/2\"", inches(150.5)],
    ["12′ 6 1/2″", inches(150.5)],
    ["12'-6 1/2\"", inches(150.5)],
    ["12'6-1/2", inches(150.5)],
    ["12-6-1/2", inches(150.5)],
    ["12-6 1/2", inches(150.5)],
    ["12-6", inches(150)],
    ["12 ft 6 in", inches(150)],
    ["12 feet 6½ inches", inches(150.5)],
    ['150"', inches(150)],
    ["150''", inches(150)],
    ["92 5/8", inches(92.625)],
    ["5/8", inches(0.625)],
    ["3.81m", metres(3.81)],
    ["381cm", metres(3.81)],
    ["3810 mm", metres(3.81)],
    ["16'4 - 3 1/2", inches(192.5)],
    ["12'6 + 3'2 - 4 1/2", inches(183.5)],
    ["12'6+3'2", inches(188)],
    ["2 × (3'4 + 6)", inches(92)],
    ["(3'4 + 6) x 2", inches(92)],
    ["16' / 4", feet(4)],
    ["16' ÷ 3", Math.round(feet(16) / 3)],
    ["1.5'", inches(18)],
    ['3.81m + 6"', metres(3.81) + inches(6)],
    ["12'6 + 50 mm", inches(150) + millimetres(50)],
    ["-4", inches(-4)],
    ["3 1/2 × 2", inches(7)],
  ])("reads %s in an imperial job", (text, expected) => {
    expect(read(text)).toBe(expected);
  });

  it.each([
    ["3810", metres(3.81)],
    ["3810-90", millimetres(3720)],
    ["12-6-1/2", inches(150.5)],
    ["12'6 1/2", inches(150.5)],
    ["3.81m - 90", millimetres(3720)],
    ["2 * 600 + 38", millimetres(1238)],
    ["0.1 mm", 100_000],
  ])("reads %s in a metric job", (text, expected) => {
    expect(read(text, "metric")).toBe(expected);
  });

  it.each([
    ["", "empty"],
    ["abc", "not-a-length"],
    ["12'6 7", "no-sign"],
    ["12' 6'", "no-sign"],
    ["12 +", "unfinished"],
    ["(12 + 3", "bracket"],
    ["12 + 3)", "bracket"],
    ["12 / 0", "divide-by-zero"],
    ["6 1/0", "zero-fraction"],
    ["2' × 3'", "area"],
    ["24' / 16\"", "ratio"],
    ["1,200", "comma"],
    ["150-20", "unclear-dash"],
    ["9".repeat(40), "too-large"],
    ["1".repeat(200), "too-long"],
  ])("refuses %s with %s", (text, code) => {
    expect(read(text)).toBe(code);
  });

  it("keeps 1/64 inch and 0.1 mm whole", () => {
    expect(NM_PER_64TH_INCH).toBe(396_875);
    expect(read("1/64")).toBe(396_875);
    expect(read("0.1mm")).toBe(100_000);
  });

  it("reads back every 1/64 inch to 40 ft as it writes it", () => {
    for (let parts = 1; parts <= 40 * 12 * 64; parts += 1) {
      const lengthNm = parts * NM_PER_64TH_INCH;
      const text = formatFeetAndInches(lengthNm, 64);
      const back = read(text);
      if (back !== lengthNm) throw new Error(`${text} read back as ${back}, not ${lengthNm}`);
    }
  });

  it("reads back every tenth of a millimetre it writes, and never throws on what people type", () => {
    fc.assert(
      fc.property(fc.integer({ min: -2_000_000, max: 2_000_000 }), (tenths) => {
        expect(read(formatMillimetres(tenths * 100_000), "metric")).toBe(tenths * 100_000 + 0);
      }),
    );
    const typed = fc.string({ unit: fc.constantFrom(..."0123456789'\"-+/*() .mcft×÷½x,"), maxLength: 30 });
    fc.assert(
      fc.property(typed, (text) => ["number", "string"].includes(typeof read(text))),
      { numRuns: 3000 },
    );
  });
});

describe("formatFeetAndInches", () => {
  it("has no sign for what rounds to nothing", () => {
    expect([formatFeetAndInches(-1), formatMillimetres(-1)]).toEqual(['0"', "0 mm"]);
    expect([formatFeetAndInches(-inches(1 / 16)), formatMillimetres(-100_000)]).toEqual(['−1/16"', "−0.1 mm"]);
  });

  it.each([
    [inches(150.5), "12' 6 1/2\""],
    [inches(97.125), "8' 1 1/8\""],
    [inches(0.5), '1/2"'],
    [0, '0"'],
    [inches(12), "1' 0\""],
    [inches(-3.5), '−3 1/2"'],
    [inches(11) + 31 * 2 * NM_PER_64TH_INCH, "1' 0\""],
  ])("writes %d as %s", (lengthNm, text) => {
    expect(formatFeetAndInches(lengthNm)).toBe(text);
  });
});

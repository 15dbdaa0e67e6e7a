import { FIGURE_MEASURES, parseFigure, parseLength } from "@wide-porch/core";
import { FRACTION_KEYS, type PadKey, padRows, rubOut, typeKey } from "./padKeys";

const keys = new Map([...padRows("length", "imperial").flat(), ...FRACTION_KEYS].map((key) => [key.label, key]));
const key = (label: string): PadKey => {
  const found = keys.get(label);
  if (!found) throw new Error(`no key ${label}`);
  return found;
};
const typed = (...labels: string[]) => labels.reduce((text, label) => typeKey(text, key(label)), "");

describe("the pad's keys", () => {
  it.each([
    [["1", "2", "ft", "6", "1/2"], "12'6 1/2"],
    [["1/2"], "1/2"],
    [["3", "ft", "1/2"], "3'1/2"],
    [["1", "6", "ft", "−", "3", "1/2"], "16' − 3 1/2"],
    [["2", "×", "( )", "3", "ft", "+", "6", "( )"], "2 × (3' + 6)"],
    [["3", ".", "8", "1", "m"], "3.81 m"],
  ])("%j type %s, which can be read", (labels, text) => {
    expect(typed(...labels)).toBe(text);
    expect(parseLength(text, "imperial").ok).toBe(true);
  });

  it.each([
    ["12'6 1/2", "12'6"],
    ["16' − ", "16'"],
    ["3.81 m", "3.81"],
    ["3810 mm", "3810"],
    ["12", "1"],
    ["6 in 12", "6"],
    ["40 sq ft", "40"],
    ["12 %", "12"],
    ["30°", "30"],
    ["", ""],
  ])("rub out of “%s” leaves “%s”", (text, left) => {
    expect(rubOut(text)).toBe(left);
  });

  it.each(FIGURE_MEASURES)("type a %s, which can be read in either system", (measure) => {
    for (const system of ["imperial", "metric"] as const) {
      for (const { types } of padRows(measure, system)
        .flat()
        .filter((key) => key.tone === "unit")) {
        const isSide = measure === "area" && !/sq|²/.test(types);
        const entry = types === ":" ? "1:4" : isSide ? `3${types} × 2${types}` : `3${types}`;
        expect([entry, parseFigure(measure, entry, system).ok]).toEqual([entry, true]);
      }
    }
  });

  it("gives each system its own unit first", () => {
    expect(padRows("length", "imperial").map((row) => row[3]?.label)).toEqual(["ft", "in", "m", "mm"]);
    expect(padRows("length", "metric").map((row) => row[3]?.label)).toEqual(["m", "mm", "ft", "in"]);
  });
});

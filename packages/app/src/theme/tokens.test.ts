import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import { type ColourName, DARK, LIGHT } from "./tokens";

const css = readFileSync(resolve(__dirname, "../../global.css"), "utf8");
const [light = "", dark = ""] = css.split("@media (prefers-color-scheme: dark)");

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(colour: string): number {
  const [red = 0, green = 0, blue = 0] = colour.split(" ").map((part) => {
    const share = Number(part) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}
function contrast(a: string, b: string): number {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].toSorted((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
}

const PAIRS: readonly [ColourName, ColourName, number][] = [
  ["ink", "paper", 7],
  ["ink", "sheet", 7],
  ["ink", "pine-wash", 7],
  ["faint", "paper", 4.5],
  ["faint", "sheet", 4.5],
  ["pine", "paper", 4.5],
  ["pine", "pine-wash", 4.5],
  ["pine-ink", "pine", 4.5],
  ["clay", "paper", 4.5],
  ["clay", "clay-wash", 4.5],
];

describe.each([
  ["light", LIGHT, light],
  ["dark", DARK, dark],
])("the %s colours", (_name, set, sheet) => {
  it("are the same in the style sheet", () => {
    for (const [name, value] of Object.entries(set)) expect(sheet).toContain(`--${name}: ${value};`);
  });

  it.each(PAIRS)("%s on %s has a contrast of %d at least", (front, back, least) => {
    expect(contrast(set[front], set[back])).toBeGreaterThanOrEqual(least);
  });
});

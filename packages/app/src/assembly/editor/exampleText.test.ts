import { starterAssemblies } from "@wide-porch/library";
import { choicesIn, choiceText, countsIn, expectedIn, figuresIn, linesOf, pairsIn } from "./exampleText";

const wall = starterAssemblies.find((each) => each.id === "inside-wall" && each.system === "imperial");
if (!wall) throw new Error("exampleText.test: the library has no inside wall");

describe("an example's lines", () => {
  it("are names with values; a line that is none is told, never dropped", () => {
    expect(pairsIn("length = 12' 6\"\n\n height=8'")).toEqual({
      value: [
        ["length", "12' 6\""],
        ["height", "8'"],
      ],
    });
    for (const line of ["length 12'", "= 12'"]) expect(pairsIn(`height = 8'\n${line}`)).toHaveProperty("problem");
    expect(pairsIn("a = 1\na = 2")).toEqual({ problem: "“a” is there twice." });
    expect(figuresIn("length =")).toEqual({ problem: "length: nothing stands there." });
  });

  it("of counts and of what is expected are figures; a slip of the hand is not nought", () => {
    expect(countsIn("count = 7")).toEqual({ value: { count: 7 } });
    for (const typed of ["1O", "-1", "1.5", ""]) expect(countsIn(`count = ${typed}`)).toHaveProperty("problem");
    expect(expectedIn("studs = 10\nplate = 36.5")).toEqual({
      value: [
        { rule: "studs", quantity: 10 },
        { rule: "plate", quantity: 36.5 },
      ],
    });
    for (const typed of ["ten", "", "Infinity"]) expect(expectedIn(`studs = ${typed}`)).toHaveProperty("problem");
  });

  it("of choices are read by what each choice is", () => {
    expect(choicesIn("bearing = Yes\nspacing = 24 in\ntopPlates = 2", wall)).toEqual({
      value: { bearing: true, spacing: "24 in", topPlates: 2 },
    });
    for (const line of ["bearing = 1", "spacing = wide", "topPlates = two", "colour = red"])
      expect(choicesIn(line, wall)).toHaveProperty("problem");
  });

  it("are shown as they can be typed again", () => {
    expect(choiceText(wall, "spacing", 609_600_000)).not.toContain("609");
    for (const [name, value] of [
      ["spacing", 609_600_000],
      ["bearing", false],
      ["topPlates", 2],
    ] as const) {
      expect(choicesIn(linesOf([[name, choiceText(wall, name, value)]]), wall)).toHaveProperty("value");
    }
  });
});

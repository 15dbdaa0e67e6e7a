import { languageOf, parseFormula } from "../assemblies";
import { isOfLayout, layoutWords } from "./layoutWords";

const language = languageOf({ appliesTo: "stud-wall", tables: [], parameters: [] });
const words = (text: string): string => {
  const parsed = parseFormula(text);
  if (!parsed.ok || parsed.expression.is !== "call") throw new Error(`words: “${text}” is no call`);
  return layoutWords(parsed.expression, text, language);
};

describe("functions of the layout in words", () => {
  it.each([
    ['pieces("stud")', "studs"],
    ['pieces("stud", "king", "corner-stud")', "studs, kings and corner studs"],
    ['run("top-plate", "cap-plate")', "length of top plates and cap plates"],
    ['along(16 in, "bottom-plate")', "fixings at 16 in along bottom plates"],
    ['along(spacing / 2, "blocking")', "fixings at spacing / 2 along blocking"],
    ['sheets("sheathing")', "whole sheets of sheathing"],
    ['cover("board-far")', "area of boards on the far side"],
    ['sheetFixings("board-near", 12 in, 16 in)', "fixings in boards on this side"],
    ["frameArea()", "face of the frame"],
    ["sheetCover(boardSheet)", "area of one sheet"],
  ])("%s is “%s”", (text, wanted) => {
    expect(words(text)).toBe(wanted);
  });

  it("has words for every function that takes roles or sheets, and for every role", () => {
    const ofLayout = [...language.functions.values()].filter((each) =>
      each.takes.some((takes) => /role|sheet/.test(takes)),
    );
    for (const { name } of ofLayout) expect([name, isOfLayout(name, language)]).toEqual([name, true]);
    for (const { id } of language.roles) expect(words(`pieces("${id}")`)).toMatch(/^[a-z][a-z ]+$/);
    expect(isOfLayout("ceil", language)).toBe(false);
  });
});

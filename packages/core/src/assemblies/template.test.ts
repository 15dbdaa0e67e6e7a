import { fillTemplate, readTemplate } from "./template";

const filled = (text: string) => fillTemplate(readTemplate(text), (name) => name.toUpperCase());

describe("texts with names in braces", () => {
  it.each([
    ["plain", "plain"],
    ["", ""],
    ["{section}", "SECTION"],
    ["timber/{section}/{grade}.", "timber/SECTION/GRADE."],
    ["{a}{b}", "AB"],
    ["a { b } stays, as does {}", "a { b } stays, as does {}"],
  ])("fills %p", (text, wanted) => {
    expect(filled(text)).toBe(wanted);
  });

  it("tells the names in order, each as often as it stands there", () => {
    expect(readTemplate("{a} and {b} and {a}").names).toEqual(["a", "b", "a"]);
  });
});

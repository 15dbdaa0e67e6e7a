import { library } from "../../testing/library";
import { lookUp, tableProblems } from "../lookUp";
import type { AssemblyParameter } from "../schema";
import type { AssemblyTable } from "../table";
import {
  COUNT,
  checkFormula,
  compileFormula,
  type FormulaType,
  type Ground,
  LENGTH,
  languageOf,
  NOTHING_TO_ANSWER,
  parseFormula,
  propertyValue,
  TEXT,
  typeWords,
} from "./index";

const lintels: AssemblyTable = {
  name: "lintels",
  label: "Lintels",
  by: "length",
  columns: [
    { name: "item", label: "Lintel", kind: "text" },
    { name: "height", label: "Height", kind: "length" },
    { name: "bars", label: "Bars", kind: "number" },
  ],
  rows: [
    { upTo: 1_200_000_000, values: ["L12", 65_000_000, 2] },
    { upTo: 1_800_000_000, values: ["L18", 140_000_000, 3] },
  ],
};
const unit: AssemblyParameter = { name: "unit", label: "Unit", kind: "unit", default: "brick-215" };
const bag: AssemblyParameter = {
  name: "bag",
  label: "Bag",
  kind: "choice",
  default: "25",
  choices: [
    { value: "25", label: "25 kg", properties: { yield: 0.0125, mass: 25 } },
    { value: "40", label: "40 kg" },
  ],
  properties: [
    { name: "yield", label: "Yield", kind: "volume" },
    { name: "mass", label: "Mass", kind: "mass" },
  ],
};
const language = languageOf({ appliesTo: "stud-wall", tables: [lintels], parameters: [unit, bag] });
const names = new Map<string, FormulaType>([
  ["length", LENGTH],
  ["extra", LENGTH],
  ["openings", COUNT],
  ["unit", TEXT],
  ["bag", TEXT],
]);
const values = new Map<string, number | string>([
  ["length", 6],
  ["extra", 0.3],
  ["openings", 3],
  ["unit", "brick-215"],
  ["bag", "25"],
]);
const ground: Ground = {
  values,
  laid: NOTHING_TO_ANSWER,
  rows: {
    openings: [
      { width: 0.9, height: 2.1, sill: 0, head: 2.1, area: 1.89, kind: "door" },
      { width: 1.2, height: 1.05, sill: 0.9, head: 1.95, area: 1.26, kind: "window" },
      { width: 2, height: 1.05, sill: 0.9, head: 1.95, area: 2.1, kind: "window" },
    ],
  },
  tables: new Map([["lintels", lintels]]),
  propertyOf: (name, property) =>
    propertyValue(name === "unit" ? unit : bag, String(values.get(name)), property, library),
};

function both(text: string) {
  const parsed = parseFormula(text);
  if (!parsed.ok) return { said: parsed.problem.message, at: "", worked: undefined };
  const checked = checkFormula(text, parsed.expression, names, language);
  if (!checked.ok) {
    const { from, to } = checked.problem.span;
    return { said: checked.problem.message, at: text.slice(from, to), worked: undefined };
  }
  const worked = compileFormula(parsed.expression)(ground);
  return { said: typeWords(checked.type), at: "", worked: worked.ok ? worked.value : worked.problem.message };
}

describe("rows, tables and properties that are right", () => {
  it.each([
    ["sum(openings, width)", "a length", 4.1],
    ["sum(openings, width + 300 mm)", "a length", 5],
    ["sum(openings, width + extra)", "a length", 5],
    ['sum(openings, if(kind == "door", 0, 2 * height + width))', "a length", 2 * 2.1 + 3.2],
    ["sum(openings, 1)", "a count", 3],
    ["count(openings, width > 1 m)", "a count", 2],
    ['count(openings, kind == "door" or sill > 800 mm)', "a count", 3],
    ["count(openings)", "a count", 3],
    ["least(openings, head)", "a length", 1.95],
    ["most(openings, area)", "an area", 2.1],
    // What is on the rows' own name outside them is what it always was.
    ["openings + sum(openings, 1)", "a count", 6],
    ['lookup("lintels", 1.2 m, "height")', "a length", 0.065],
    ['lookup("lintels", 1.2001 m, "bars")', "a count", 3],
    ['sum(openings, if(width > 1.8 m, 0, lookup("lintels", width, "bars")))', "a count", 4],
    ["unit.length + 10 mm", "a length", 0.225],
    ["1 / ((unit.length + unit.perpendJoint) * (unit.height + unit.bedJoint)) * 1 m2", "a count", 59.259259],
    ["bag.yield / bag.mass", "something in m^3 kg^-1", 0.0005],
    ["bag.mass / bag.yield", "a density", 2000],
    ["1500 kg / 1 m3", "a density", 1500],
    ["sin(30 deg)", "a count", 0.5],
    ["atan(4 / 12) / 1 deg", "a count", 18.43495],
    ["cos(60 deg) + tan(45 deg)", "a count", 1.5],
    ["2 * pi * length", "a length", 37.69911],
    ["upTo(length, 300 mm)", "a length", 6],
    ["upTo(6.01 m, 300 mm)", "a length", 6.3],
    ["1 cuyd / 1 cuft", "a count", 27],
    ["2 tonne + 500 g", "a weight", 2000.5],
  ])("%s gives %s", (text, words, value) => {
    const { said, worked } = both(text);
    expect(said).toBe(words);
    expect(worked).toBeCloseTo(value, 5);
  });
});

describe("rows, tables and properties that are wrong are told in words, and where", () => {
  it.each([
    ["sum(windows, width)", "sum(…) goes through “openings”.", "windows"],
    ["sum(openings, widht)", "There is no “widht” here. Did you mean “width”?", "widht"],
    ["sum(openings, width + area)", "“width” is a length and “area” is an area: they cannot be added.", "width + area"],
    ["sum(openings, kind)", "“kind” is a choice; sum(…) takes a quantity of each.", "kind"],
    ["count(openings, width)", "“width” is a length; here a yes or no is needed, such as width > 0.", "width"],
    ["sum(openings)", "sum(…) takes rows and one thing of each in its brackets.", "sum(openings)"],
    ["width + 1 m", "There is no “width” here.", "width"],
    ['lookup("lintel", 1 m, "item")', "There is no table “lintel”. Did you mean “lintels”?", '"lintel"'],
    ['lookup("lintels", 3, "item")', "“Lintels” is looked up by a length, and “3” is a count.", "3"],
    ['lookup("lintels", 1 m, "itme")', "“Lintels” has no such column. Did you mean “item”?", '"itme"'],
    ['lookup("lintels", 1 m)', 'Say which column: "item", "height", "bars".', "lookup"],
    ["unit.lenght", "“unit” has no “lenght”. Did you mean “length”?", "unit.lenght"],
    ["length.width", "“length” names no thing that has properties.", "length.width"],
    ["nothing.width", "There is no “nothing” here.", "nothing"],
    ["upTo(length, 3)", "“length” is a length and “3” is a count: they cannot be compared.", "3"],
    ["sin(length)", "sin(…) takes a count, and “length” is a length. Divide it by another first.", "length"],
  ])("%s", (text, message, at) => {
    expect(both(text)).toMatchObject({ said: message, at });
  });

  it("points to the very place in a long formula of like words", () => {
    const text = `${"length * (length + extra) + ".repeat(6)}length * (length + openings)`;
    expect(both(text).at).toBe("length + openings");
    const parsed = parseFormula(text);
    const checked = parsed.ok ? checkFormula(text, parsed.expression, names, language) : parsed;
    expect(checked.ok ? 0 : checked.problem.span.from).toBe(text.length - "length + openings)".length);
  });

  it("tells what a table does not reach, and what it has no value for", () => {
    expect(both('lookup("lintels", 1.81 m, "height")').worked).toBe("“Lintels” goes up to 1.8 m; 1.81 m is beyond it.");
    const gap = { ...lintels, rows: [{ upTo: 1_000_000_000, values: ["L10"] }] };
    expect(lookUp(gap, 0.5, "bars")).toEqual({ miss: "Row 1 of “Lintels” has no bars." });
    expect(both("bag.yield").worked).toBeCloseTo(0.0125, 9);
    values.set("bag", "40");
    expect(both("bag.yield").worked).toBe("What “bag” names has no “yield”.");
    values.set("bag", "25");
  });

  it("is of the table itself: limits out of order, a gap, a value of another kind, a name twice", () => {
    expect(tableProblems(lintels)).toEqual([]);
    const broken = {
      ...lintels,
      columns: [...lintels.columns, { name: "item", label: "Again", kind: "text" as const }],
      rows: [
        { upTo: 2, values: ["A", 1, 1, "A"] },
        { upTo: 2, values: [5, 1, 1] },
      ],
    };
    expect(tableProblems(broken).map(({ message }) => message)).toEqual([
      "Row 2 of “Lintels” goes no further than the one before it.",
      "Row 2 of “Lintels”: “5” is no text.",
      "Row 2 of “Lintels” has no again.",
      "Two columns of “Lintels” have one name.",
    ]);
  });
});

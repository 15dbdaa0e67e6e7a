import {
  AREA,
  COUNT,
  checkFormula,
  compileFormula,
  type FormulaType,
  HOURS,
  LENGTH,
  languageOf,
  NOTHING_TO_ANSWER,
  parseFormula,
  TEXT,
  typeWords,
  VOLUME,
  YES_NO,
} from "./index";

const names = new Map<string, FormulaType>([
  ["length", LENGTH],
  ["height", LENGTH],
  ["spacing", LENGTH],
  ["area", AREA],
  ["volume", VOLUME],
  ["openings", COUNT],
  ["time", HOURS],
  ["bearing", YES_NO],
  ["cornerStyle", TEXT],
]);
const values = new Map<string, number | boolean | string>([
  ["length", 12 * 0.3048],
  ["height", 2.4],
  ["spacing", 16 * 0.0254],
  ["area", 10],
  ["volume", 3],
  ["openings", 2],
  ["time", 0.5],
  ["bearing", true],
  ["cornerStyle", "two-stud"],
]);
const ground = { values, laid: NOTHING_TO_ANSWER };

function check(text: string) {
  const parsed = parseFormula(text);
  return parsed.ok
    ? checkFormula(text, parsed.expression, names, languageOf({ appliesTo: "stud-wall", tables: [], parameters: [] }))
    : parsed;
}

function work(text: string) {
  const parsed = parseFormula(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problem.message}`);
  return compileFormula(parsed.expression)(ground);
}

describe("formulas that are right", () => {
  it.each([
    ["ceil(length / spacing) + 1", "a count", 10],
    ["length / 16 in", "a count", 9],
    ["2 * (length + height)", "a length", 2 * (3.6576 + 2.4)],
    ["length * height", "an area", 3.6576 * 2.4],
    ["length ^ 2", "an area", 3.6576 ** 2],
    ["sqrt(area)", "a length", Math.sqrt(10)],
    ["area * 100 mm", "a volume", 1],
    ["area / (32 sqft)", "a count", 10 / (32 * 0.3048 ** 2)],
    ["openings * time", "a time", 1],
    ["openings * 30 minute", "a time", 1],
    ["max(0, length - 2 ft)", "a length", 3.048],
    ["if(bearing, openings * 2, 0)", "a count", 4],
    ["bearing ? length : 0", "a length", 3.6576],
    ['cornerStyle == "two-stud" and openings > 0', "a yes or no", true],
    ["not bearing or area >= 10 m2", "a yes or no", true],
    ["openings > 0", "a yes or no", true],
    ["1/2 in + length", "a length", 3.6576 + 0.0127],
    ["length × 2 ÷ 4", "a length", 1.8288],
    ["round(2.5) + floor(2.9) + abs(-1)", "a count", 6],
    ["-(length - 4 ft) + 4 ft", "a length", -(3.6576 - 1.2192) + 1.2192],
    // A hair over a whole number is that number, also near none; more than a hair is not.
    ["ceil(0.0000000001)", "a count", 0],
    ["ceil(9.0000000001) + floor(8.9999999999)", "a count", 18],
    ["ceil(0.00001) + floor(0.99999)", "a count", 1],
    ["round(-2.5)", "a count", -3],
    ["2 lb + 1 kg", "a weight", 2 * 0.45359237 + 1],
    ["3 kg / 1.5 kg", "a count", 2],
    ["3 kg / 2 m2 * area", "a weight", 15],
    ["3 kg / 2 m2", "something in m^-2 kg", 1.5],
    ["2 hour / 30 minute", "a count", 4],
    ["volume / 1 gallon", "a count", 3 / 0.003785411784],
    ["length ^ 0", "a count", 1],
    ["2 ^ openings", "a count", 4],
    ["openings ^ 0.5", "a count", Math.SQRT2],
    // What is equal but for a hair is equal, and neither more nor less.
    ["0.1 + 0.2 == 0.3", "a yes or no", true],
    ["1 == 1.00001", "a yes or no", false],
    ["0.1 + 0.2 > 0.3", "a yes or no", false],
    ["0.1 + 0.2 <= 0.3", "a yes or no", true],
    ["0.3 < 0.1 + 0.2", "a yes or no", false],
    ["0.3 >= 0.1 + 0.2", "a yes or no", true],
    ["3 >= 3.00001", "a yes or no", false],
    ["length != 12 ft", "a yes or no", false],
    ["length > 12 ft", "a yes or no", false],
    ["length > 11.999 ft", "a yes or no", true],
    ["bearing == true", "a yes or no", true],
    ["min(3, 2, 5) * max(3, 2, 5)", "a count", 10],
  ])("%s gives %s", (text, words, value) => {
    const checked = check(text);
    expect(checked.ok && typeWords(checked.type)).toBe(words);
    const worked = work(text);
    expect(worked.ok).toBe(true);
    if (worked.ok && typeof value === "number") expect(worked.value).toBeCloseTo(value, 9);
    else if (worked.ok) expect(worked.value).toBe(value);
  });
});

describe("formulas that are wrong are told in words, and where", () => {
  it.each([
    ["length + area", "“length” is a length and “area” is an area: they cannot be added.", "length + area"],
    [
      "area - openings",
      "“area” is an area and “openings” is a count: they cannot be taken from each other.",
      "area - openings",
    ],
    ["length > 3", "“length” is a length and “3” is a count: they cannot be compared.", "length > 3"],
    ["length ^ openings", "A power of a length is a whole number, such as 2.", "openings"],
    ["time ^ openings", "A power of a time is a whole number, such as 2.", "openings"],
    ["(2 kg) ^ openings", "A power of a weight is a whole number, such as 2.", "openings"],
    ["2 ^ length", "“length” is a length; a power is a plain number, such as 2.", "length"],
    ["ceil(length)", "ceil(…) takes a count, and “length” is a length. Divide it by another first.", "length"],
    ["lenght / spacing", "There is no “lenght” here. Did you mean “length”?", "lenght"],
    ["heigth * 2", "There is no “heigth” here. Did you mean “height”?", "heigth"],
    ["cell(length / spacing)", "There is no “cell(…)”. Did you mean “ceil”?", "cell"],
    ['pieces("stdu")', "There is no role “stdu”. Did you mean “stud”?", '"stdu"'],
    ["pieces(stud)", 'Here goes a role in quotes, such as "bottom-plate".', "stud"],
    ["pieces()", "pieces(…) takes roles in quotes in its brackets.", "pieces"],
    ["length (2)", "“length” is a value: write × between it and the bracket.", "length"],
    ["sqrt(length)", "“length” is a length, which has no square root.", "length"],
    ["length ^ openings", "A power of a length is a whole number, such as 2.", "openings"],
    ["if(openings, 1, 2)", "“openings” is a count; here a yes or no is needed, such as openings > 0.", "openings"],
    ["if(bearing, length, area)", "One way gives a length, the other an area.", "if(bearing, length, area)"],
    ["bearing + 1", "“bearing” is a yes or no; only quantities are added.", "bearing"],
    ["min(length, area)", "“length” is a length and “area” is an area: they cannot be compared.", "area"],
    ["ceil + 1", "“ceil” needs brackets: ceil(…).", "ceil"],
    ["length = 2", "To compare, write == with two signs.", "="],
    ["12' 6", "Write a length as 12 ft + 6 in, or 3.8 m.", "'"],
    ["area * 105 %", "Write a share as a number: 1.05 for 5 % more.", "%"],
    ["(length + 2 ft", "A closing bracket is missing.", ""],
    ["length +", "The formula ends too early.", ""],
    ["x = 3; x", "To compare, write == with two signs.", "="],
    ["[1, 2]", "This sign has no meaning in a formula.", "["],
    ["1 < 2 < 3", "Compare two at a time: write “and” between two comparisons.", "1 < 2 <"],
    ["length.value", "“length” names no thing that has properties.", "length.value"],
    ["", "Write a formula.", ""],
  ])("%s", (text, message, at) => {
    const checked = check(text);
    if (checked.ok) throw new Error(`${text} was taken for ${typeWords(checked.type)}`);
    expect(checked.problem.message).toBe(message);
    const { from, to } = checked.problem.span;
    expect(text.slice(from, to)).toBe(at);
  });

  it("reach nothing but their own names", () => {
    for (const text of [
      "constructor",
      "this",
      "__proto__",
      "eval(1)",
      "import(1)",
      "window",
      "e",
      "i",
      "length.constructor",
      "cornerStyle.length",
    ]) {
      expect(check(text).ok).toBe(false);
    }
  });
});

describe("working a formula out", () => {
  it("does not round up for a hair: 12 ft over 16 in is 9, 12 over 1.333 is not one more", () => {
    expect(work("ceil(length / spacing)")).toEqual({ ok: true, value: 9 });
    expect(work("ceil(0.1 * 3 / 0.3)")).toEqual({ ok: true, value: 1 });
    expect(work("floor(length / (4 ft))")).toEqual({ ok: true, value: 3 });
  });

  it("tells a division by nothing, and points to what is nothing", () => {
    const worked = work("length / (openings - 2)");
    if (worked.ok) throw new Error("it divided by nothing");
    expect(worked.problem).toMatchObject({ code: "division-by-zero" });
    expect("length / (openings - 2)".slice(worked.problem.span.from, worked.problem.span.to)).toBe("openings - 2");
  });

  it("shows no figure for what comes to none", () => {
    expect(work("sqrt(openings - 3)")).toMatchObject({ ok: false, problem: { code: "not-finite" } });
    expect(work("10 ^ 400")).toMatchObject({ ok: false, problem: { code: "not-finite" } });
  });

  it("asks only the way it takes: the other way may divide by nothing", () => {
    expect(work("if(openings > 2, 1 / (openings - 2), 7)")).toEqual({ ok: true, value: 7 });
  });
});

describe("a figure and its unit are one thing, and signs of one rank go from left to right", () => {
  it.each([
    ["openings * 2 / 1 ft", "something in m^-1", 4 / 0.3048],
    ["length * 2 / 1 ft", "a count", 24],
    ["length / 2 ft * 3", "a count", 18],
    ["length / 2 / 3 ft", "a count", 2],
    ["length / 1 / 2 in", "a count", 72],
    ["3 / 4 in", "a length", 0.75 * 0.0254],
    ["openings - 1/2 + length / 1/2 ft", "a count", 2 - 0.5 + 6],
    ["2 ft ^ 2", "an area", 2 * 0.3048 ** 2],
    ["-2 ft + 3 ft", "a length", 0.3048],
    ["1e1 in", "a length", 0.254],
  ])("%s is %s", (text, words, value) => {
    const checked = check(text);
    expect(checked.ok ? typeWords(checked.type) : checked.problem.message).toBe(words);
    const worked = work(text);
    expect(worked.ok && worked.value).toBeCloseTo(value, 9);
  });

  it.each([
    ["10 ft 6 in", "Write a sign between these."],
    ["2 (length + height)", "Write a sign between these."],
    ["2 ^ length", "“length” is a length; a power is a plain number, such as 2."],
    ["anything.ceil(2.5)", "This has no meaning in a formula."],
    ["length.ceil(2.5)", "This has no meaning in a formula."],
    ["(2 ft + length", "A closing bracket is missing."],
  ])("%s is told", (text, message) => {
    const checked = check(text);
    expect(checked.ok ? "taken" : checked.problem.message).toBe(message);
  });

  it("points into the text as it was written", () => {
    const text = "2 ft + 3 in + lenght";
    const checked = check(text);
    if (checked.ok) throw new Error("it was taken");
    expect(text.slice(checked.problem.span.from, checked.problem.span.to)).toBe("lenght");
    const broken = check("2 ft + 3 in + * 4");
    expect(broken.ok ? 0 : broken.problem.span.from).toBe(14);
  });
});

describe("a formula that nobody wrote", () => {
  it.each([
    ["of brackets", "(".repeat(100_000)],
    ["of signs", `1${"+1".repeat(50_000)}`],
    ["of minus signs", `${"-".repeat(99_999)}1`],
    ["of a name", "a".repeat(100_000)],
  ])("100,000 characters %s are answered", (_, text) => {
    const parsed = parseFormula(text);
    expect(parsed.ok ? "" : parsed.problem.code).toBe("too-long");
  });

  it("as deep as 400 characters go is answered too", () => {
    const codeOf = (text: string) => {
      const parsed = parseFormula(text);
      return parsed.ok ? "taken" : parsed.problem.code;
    };
    expect(codeOf(`${"(".repeat(30)}1${")".repeat(30)}`)).toBe("taken");
    expect(codeOf(`${"(".repeat(199)}1${")".repeat(199)}`)).toBe("too-deep");
    for (const text of ["(".repeat(400), `${"-".repeat(399)}1`, `${"2^".repeat(199)}2`, `${"1?".repeat(199)}1`]) {
      expect(codeOf(text)).not.toBe("taken");
    }
    expect(codeOf(`1${"+1".repeat(199)}`)).toBe("taken");
  });
});

describe("a difference that is nothing but for rounding", () => {
  it.each([
    "1 / (0.3 - 0.1 * 3)",
    "1 / (length - 9 * spacing)",
    "openings / (3.6576 - length / 1 m)",
    "1 / (0.1 + 0.2 + -0.3)",
  ])("%s divides by nothing", (text) => {
    const worked = work(text);
    expect(worked.ok ? worked.value : worked.problem.code).toBe("division-by-zero");
  });

  it("of a nanometre is not nothing", () => {
    expect(work("(length + 0.000001 mm - length) / 0.000001 mm").ok).toBe(true);
    const worked = work("(length + 0.000001 mm - length) / 1 mm");
    expect(worked.ok && worked.value).toBeCloseTo(1e-6, 9);
  });
});

describe("a choice compared with a word", () => {
  const among = new Map(names).set("species", { is: "text", among: ["", "/fir-larch"] });
  const told = (text: string): string => {
    const parsed = parseFormula(text);
    if (!parsed.ok) return parsed.problem.message;
    const checked = checkFormula(
      text,
      parsed.expression,
      among,
      languageOf({ appliesTo: "stud-wall", tables: [], parameters: [] }),
    );
    return checked.ok ? typeWords(checked.type) : checked.problem.message;
  };

  it("that it never is, is told, either way round", () => {
    const message = "“species” is never “/fir-lurch”: it is one of “”, “/fir-larch”. Did you mean “/fir-larch”?";
    expect(told('species == "/fir-lurch"')).toBe(message);
    expect(told('"/fir-lurch" != species')).toBe(message);
  });

  it("that it can be, is a yes or no", () => {
    expect(told('species == "/fir-larch"')).toBe("a yes or no");
    expect(told('species != ""')).toBe("a yes or no");
    expect(told('cornerStyle == "two-stud"')).toBe("a yes or no");
  });

  it("may be spelled with any letter", () => {
    expect(told('cornerStyle == "Föhre"')).toBe("a yes or no");
  });
});

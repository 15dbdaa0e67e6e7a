import { requireFewValues, textProblems, valuesIn } from "./wellFormed";

const bytes = (value: unknown): Uint8Array => Buffer.from(JSON.stringify(value));

describe("what a body is looked through for", () => {
  it("is found with its path, wherever it lies", () => {
    const half = "half \ud83d";
    expect(textProblems({ a: [{ b: "ok" }, { b: half }], "n\u0000": 1 })).toMatchObject([
      { code: "not-text", path: "a.1.b" },
      { code: "not-text", path: "(name of a field)" },
    ]);
    expect(textProblems(half)).toMatchObject([{ path: "" }]);
    expect(textProblems({ fine: ["é", "🏠", null, 1, true], bytes: Buffer.from([0xd8, 0]) })).toEqual([]);
  });

  it("is told twenty times at most, and to a depth that no record has", () => {
    expect(textProblems(Array.from({ length: 100 }, () => "\u0000"))).toHaveLength(20);
    let deep: unknown = 1;
    for (let level = 0; level < 10_000; level += 1) deep = [deep];
    expect(textProblems({ deep })).toMatchObject([{ code: "too-deep", path: "deep.0.0.0.0" }]);
  });
});

describe("how many values a text of JSON has", () => {
  it("is counted without those within texts", () => {
    expect(valuesIn(bytes([1, 2, 3]), 100)).toBe(4);
    expect(valuesIn(bytes({ a: "1,2,[3]{", b: 'quoted \\" , "' }), 100)).toBe(3);
  });

  it("ends the reading where there are too many", () => {
    expect(() => requireFewValues(bytes(Array.from({ length: 50 }, () => 0)), 40)).toThrow(/At most 40 values/);
    expect(() => requireFewValues(bytes(Array.from({ length: 30 }, () => 0)), 40)).not.toThrow();
  });
});

import { Readable } from "node:stream";
import ExcelJS from "exceljs";
import { countJob, marksOf } from "../count";
import { orderJob } from "../order";
import { countTable, cutTable, orderTable, readAssemblyFile, toCsv, writeAssemblyFile } from "../reckoning";
import { assemblyOf, library, starterPriceList, wallOf } from "../testing/library";
import { feet, inches } from "../units";

const counts = countJob([wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125) })], "imperial", library);
const lines = counts.flatMap((count) => count.lines);
const order = orderJob(lines, starterPriceList, "imperial");

/** Read by a general-purpose library, not by our own. */
async function readCsv(text: string): Promise<unknown[][]> {
  const sheet = await new ExcelJS.Workbook().csv.read(Readable.from([text]));
  const rows: unknown[][] = [];
  sheet.eachRow((row) => rows.push(Array.isArray(row.values) ? row.values.slice(1) : []));
  return rows;
}

describe("CSV", () => {
  it("of the count has every line with its figure", async () => {
    const rows = await readCsv(toCsv(countTable(lines, "imperial")));
    expect(rows).toHaveLength(lines.length + 1);
    const studs = rows.find((row) => row[5] === "Studs, 2 × 4");
    expect(studs?.slice(6, 9)).toEqual([10, "pieces", 10]);
  });

  it("of the order list and the cut list has what is bought, and each piece's mark and length", async () => {
    const ordered = await readCsv(toCsv(orderTable(order)));
    expect(ordered.map((row) => row[0])).toContain("2 × 4 sawn softwood, 8' 0\"");
    const cut = await readCsv(toCsv(cutTable(order.cuts, marksOf(counts), inches(0.125), "imperial")));
    expect(cut.map((row) => String(row[4])).join()).toContain("1-S1 7' 8 5/8\"");
  });

  it("of a cut list numbers the bars, says where each is from, what is cut from it and what is left over", () => {
    const bar = (stockIn: number, piecesIn: number[], fromYard?: boolean) => ({
      stockNm: inches(stockIn),
      pieces: piecesIn.map((each, index) => ({ id: `p${stockIn}-${index}`, lengthNm: inches(each) })),
      ...(fromYard ? { fromYard } : {}),
    });
    const bars = [bar(96, [48, 40]), bar(60, [60], true)];
    const cut = {
      itemCode: "timber/2x4",
      name: "2x4",
      bars,
      tooLong: [],
      cost: 8,
      boughtNm: inches(96),
      bound: 8,
      kept: false,
    };
    const marks = new Map([["p96-0", "1-S1"]]);
    expect(cutTable([cut], marks, inches(0.125), "imperial").rows).toEqual([
      ["2x4", 1, "8' 0\"", "bought", "1-S1 4' 0\", spare 3' 4\"", '7 7/8"'],
      ["2x4", 2, "5' 0\"", "from the yard", "spare 5' 0\"", '0"'],
    ]);
  });

  it("keeps commas, quotes and line breaks in their fields, and a formula from outside as text (RFC 4180)", async () => {
    const table = {
      name: "T",
      headings: ["a", "b"],
      rows: [
        ["12' 0\", long", "two\nlines"],
        ["=1+1", 3.5],
      ],
    };
    const text = toCsv(table);
    expect(text).toBe('a,b\r\n"12\' 0"", long","two\nlines"\r\n\'=1+1,3.5\r\n');
    expect((await readCsv(text))[1]).toEqual(["12' 0\", long", "two\nlines"]);
  });
});

describe("an assembly's file", () => {
  const text = writeAssemblyFile(assemblyOf("imperial", "door-set"));

  it("comes back as it was", () => {
    expect(readAssemblyFile(text)).toEqual({ ok: true, assembly: assemblyOf("imperial", "door-set"), problems: [] });
  });

  it("of an earlier version is brought up to date; of a newer one, or an odd one, it is refused in words", () => {
    const earlier = JSON.stringify({ ...JSON.parse(text), schemaVersion: 4 });
    expect(readAssemblyFile(earlier)).toMatchObject({ ok: true, assembly: { schemaVersion: 6 } });
    const newer = readAssemblyFile(text.replace(/"schemaVersion": \d+/, '"schemaVersion": 99'));
    expect(newer).toMatchObject({
      ok: false,
      problems: [{ line: 2, message: expect.stringContaining("newer version") }],
    });
    for (const odd of [-1, 0.5, "2", null, {}]) {
      const stored = { ...JSON.parse(text), schemaVersion: odd, framing: 7 };
      expect(readAssemblyFile(JSON.stringify(stored))).toMatchObject({ ok: false });
    }
  });

  it("that is no JSON is refused with the line", () => {
    const broken = text.replace('"about":', '"about"');
    const line = text.split("\n").findIndex((each) => each.includes('"about"')) + 1;
    expect(readAssemblyFile(broken)).toMatchObject({ ok: false, problems: [{ line }] });
    expect(readAssemblyFile("")).toMatchObject({ ok: false, problems: [{ line: 1, message: "The file is empty." }] });
  });

  it("that is no assembly is refused with the line and the reason", () => {
    const wrong = text.replace('"buying": "whole"', '"buying": "barter"');
    const line = wrong.split("\n").findIndex((each) => each.includes("barter")) + 1;
    const read = readAssemblyFile(wrong);
    expect(read).toMatchObject({ ok: false, problems: [{ line, path: "rules.0.buying" }] });
  });

  it("with a circle and a typo comes in with both told by line", () => {
    const wrong = text
      .replace('"count * hinges"', '"hanging / 1 hour"')
      .replace('"count * time * 1 hour"', '"hingesInAll * 1 hour"');
    const read = readAssemblyFile(wrong);
    expect(read.ok && read.problems[0]?.message).toContain("go round in a circle");
    const typo = readAssemblyFile(text.replace('"count * hinges"', '"cuont * hinges"'));
    const line = text.split("\n").findIndex((each) => each.includes("count * hinges")) + 1;
    expect(typo.ok && typo.problems).toMatchObject([
      { line, message: "There is no “cuont” here. Did you mean “count”?" },
    ]);
  });
});

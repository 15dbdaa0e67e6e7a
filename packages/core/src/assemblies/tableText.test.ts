import fc from "fast-check";
import { countPart } from "../count";
import { assemblyOf, library, openingOf } from "../testing/library";
import { counted, masonryOf, quantityOf, said } from "../testing/masonry";
import { metres, millimetres } from "../units";
import { problemsOf } from "./compileAssembly";
import { type HouseStandard, standardProblems } from "./standard";
import { type AssemblyTable, withTables } from "./table";
import { readTable, tableText } from "./tableText";

const head = { name: "lintels", label: "Lintels", by: "length" as const };
const read = (text: string) => {
  const found = readTable(text, head, "metric");
  return found.ok ? found.value : found.problem.message;
};

describe("a table as lines", () => {
  it("is read with its columns and their kinds, and said again as it was", () => {
    const text = "up to; item (text); height (length)\n1200 mm; lintel/100x65; 65 mm\n2.4 m; lintel/100x140; 140";
    const table = read(text);
    expect(table).toMatchObject({
      ...head,
      columns: [
        { name: "item", kind: "text" },
        { name: "height", kind: "length" },
      ],
      rows: [
        { upTo: millimetres(1200), values: ["lintel/100x65", millimetres(65)] },
        { upTo: metres(2.4), values: ["lintel/100x140", millimetres(140)] },
      ],
    });
    expect(typeof table === "string" ? table : tableText(table, "metric")).toBe(
      "up to; item (text); height (length)\n1200 mm; lintel/100x65; 65 mm\n2400 mm; lintel/100x140; 140 mm",
    );
  });

  it.each([
    ["", "Line 1: name the columns after “up to”."],
    ["up to", "Line 1: name the columns after “up to”."],
    ["up to; Item (text)\n1; a", "Line 1: “Item (text)” is no column."],
    ["up to; item (colour)\n1; a", "Line 1: “item (colour)” is no column."],
    ["up to; item (text)", "rows: "],
    ["up to; item (text)\n1200", "Line 2: 1 values, and 2 columns"],
    ["up to; item (text)\n1200; ", "Line 2, value 2: there is nothing"],
    ["up to; count\n1200; many", "Line 2, value 2: “many” is no number."],
    ["up to; count\nfar; 1", "Line 2, value 1: "],
    ["up to; count\n1200; 1\n900; 2", "Row 2 of “Lintels” goes no further than the one before it."],
    ["up to; count; count\n1200; 1; 2", "Two columns of “Lintels” have one name."],
    ["up to; count\n0; 1", "rows 0 upTo: "],
    ["up to; count\n-5; 1", "rows 0 upTo: "],
  ])("that cannot be (%j) says where and why: %s", (text, message) => {
    expect(read(text)).toContain(message);
  });

  it("comes back the same, whatever is in it", () => {
    const row = fc.record({ step: fc.integer({ min: 1, max: 500 }), count: fc.integer(), high: fc.nat(5000) });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 20 }), (all) => {
        let upTo = 0;
        const table: AssemblyTable = {
          ...head,
          columns: [
            { name: "count", label: "count", kind: "number" },
            { name: "high", label: "high", kind: "length" },
          ],
          rows: all.map(({ step, count, high }) => {
            upTo += step;
            return { upTo: millimetres(upTo), values: [count, millimetres(high)] };
          }),
        };
        expect(read(tableText(table, "metric"))).toEqual(table);
      }),
    );
  });
});

const standardWith = (tables: AssemblyTable[]): HouseStandard => ({
  schemaVersion: 2,
  id: "s",
  version: 1,
  name: "S",
  system: "metric",
  parameters: [],
  waste: [],
  productivity: [],
  tables,
});
const ours = readTable("up to; item (text); height (length)\n3000; ours; 150", head, "metric");
if (!ours.ok) throw new Error("the table cannot be read");

describe("tables of the company", () => {
  const window = openingOf("window", "w", {
    positionNm: metres(2),
    widthNm: millimetres(1200),
    sillNm: millimetres(900),
    heightNm: millimetres(1050),
  });
  const wall = masonryOf("metric", { lengthNm: metres(6.3), heightNm: metres(2.4), openings: [window] });
  const house = { ...library, standard: standardWith([ours.value]) };

  it("stand in place of an assembly's own of the same name: the lintel is the company's", () => {
    const codes = (from: typeof library) =>
      countPart(wall, "metric", from)
        .lines.filter((line) => line.rule === "lintelPieces")
        .map((line) => line.itemCode);
    expect(codes(house)).toEqual(["lintel/ours"]);
    expect(codes(library)).not.toContain("lintel/ours");
  });

  it("that have no column saying which lintel it is are told, and the wall is counted without", () => {
    const bare = readTable("up to; height (length)\n3000; 150", head, "metric");
    if (!bare.ok) throw new Error(bare.problem.message);
    const count = counted(wall, "metric", { ...library, standard: standardWith([bare.value]) });
    expect(said(count)).toMatch(/The table “Lintels” has no column “item”/);
    expect(quantityOf(count, "lintelPieces")).toBe(0);
    expect(quantityOf(count, "outerUnits")).toBeGreaterThan(500);
  });

  it("are looked up by any assembly; without them it says that there is none", () => {
    const base = assemblyOf("metric", "brick-wall");
    const rules = [
      ...base.rules,
      {
        name: "anchors",
        label: "Anchors",
        trade: "Masonry",
        phase: "",
        formula: 'lookup("anchorTable", length, "count")',
        unit: "anchor",
        item: "anchor",
        buying: "whole" as const,
        sentence: "By the company's table.",
      },
    ];
    const assembly = { ...base, rules };
    const table = readTable("up to; count\n5 m; 2\n10 m; 4", { ...head, name: "anchorTable" }, "metric");
    if (!table.ok) throw new Error(table.problem.message);
    const from = { ...library, assemblies: [assembly, ...library.assemblies.filter((each) => each !== base)] };
    const withTable = { ...from, standard: standardWith([table.value]) };
    expect(quantityOf(counted(wall, "metric", withTable), "anchors")).toBe(4);
    const without = counted(wall, "metric", from);
    expect(said(without)).toMatch(/There is no table “anchorTable”/);
    expect(quantityOf(without, "outerUnits")).toBe(quantityOf(counted(wall), "outerUnits"));
    expect(problemsOf(assembly, library.assemblies, [table.value])).toEqual([]);
    expect(problemsOf(assembly, library.assemblies).map((each) => each.code)).toEqual(["unknown-table"]);
    const long = { ...wall, length: { ...wall.length, valueNm: metres(12) } };
    expect(said(counted(long, "metric", withTable))).toMatch(/goes up to 10 m; 12 m is beyond it/);
  });

  it("are merged once, so that an assembly is compiled once with them; none leave it as it is", () => {
    const assembly = assemblyOf("metric", "brick-wall");
    const tables = [ours.value];
    expect(withTables(assembly, tables)).toBe(withTables(assembly, tables));
    expect(withTables(assembly, [])).toBe(assembly);
    expect(withTables(assembly, undefined)).toBe(assembly);
  });

  it("that are wrong are told in the standard, each at its place", () => {
    const [row] = ours.value.rows;
    if (!row) throw new Error("no row");
    const odd = { ...ours.value, rows: [row, row] };
    expect(standardProblems(standardWith([ours.value, odd])).map(({ path }) => path)).toEqual([
      "tables.1.name",
      "tables.1.rows.1.upTo",
    ]);
  });
});

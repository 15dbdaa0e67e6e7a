import { guessMatch, readReport, reportShape, roofTotalsKind, withReport } from "../kinds";
import { contexts } from "../testing/library";
import { feet } from "../units";
import { readReportTable } from "./reportTable";

const CSV =
  'Roof,Area (sq ft),Pitch (in 12),Eaves ft,Rake ft,Ridge ft\nHouse,"1,301.13",7,79.33,64.5,39.67\nShed,120,,12,20,12\n';
const JSON_REPORT = JSON.stringify({
  report: "R-1",
  roofs: [{ roof: "House", area_m2: 120.88, pitch_degrees: 30.26, eaves_m: 24.18, hips_m: null }],
});

function tableOf(text: string) {
  const read = readReportTable(text);
  if (!read.ok) throw new Error(read.message);
  return read.table;
}
const messageOf = (text: string): string => {
  const read = readReportTable(text);
  return read.ok ? "read" : read.message;
};

describe("a measuring report", () => {
  it("is read from CSV with its columns matched by their headings, units and all", () => {
    const table = tableOf(CSV);
    const figures = readReport(table, 0, guessMatch(table, "imperial"), "imperial");
    expect(figures.map(({ field, ok }) => [field, ok])).toEqual([
      ["area", true],
      ["pitch", true],
      ["eaves", true],
      ["rakes", true],
      ["ridges", true],
    ]);
    const totals = withReport(roofTotalsKind.defaults("t", "Roof", contexts.imperial), figures);
    expect(totals.area.value).toBeCloseTo(1301.13 * 0.09290304, 9);
    expect(totals.pitch).toMatchObject({ value: 7 / 12, assumed: false });
    expect(totals.eaves).toMatchObject({ valueNm: Math.round(feet(79.33)), assumed: false });
  });

  it("is read from JSON, in the units its names tell", () => {
    const table = tableOf(JSON_REPORT);
    const figures = readReport(table, 0, guessMatch(table, "imperial"), "imperial");
    const values = Object.fromEntries(figures.flatMap((each) => (each.ok ? [[each.field, each.value]] : [])));
    expect(values).toEqual({ area: 120.88, pitch: Math.tan((30.26 * Math.PI) / 180), eaves: 24.18 });
  });

  it("leaves what it does not say as it is", () => {
    const table = tableOf(CSV);
    const before = roofTotalsKind.defaults("t", "Roof", contexts.imperial);
    const after = withReport(before, readReport(table, 1, guessMatch(table, "imperial"), "imperial"));
    expect(after.pitch).toEqual(before.pitch);
    expect(after.hips).toEqual(before.hips);
  });

  it("has the same shape in another order", () => {
    expect(reportShape({ columns: ["B", "a"], rows: [] })).toBe(reportShape({ columns: ["A", "b"], rows: [] }));
  });

  it("says of an entry that is no number, below nothing, or in no unit, and where", () => {
    const table = tableOf("Area,Pitch,Eaves\n12a,-3,9\n");
    const match = {
      area: { column: "Area", unit: "sqft" },
      pitch: { column: "Pitch", unit: "in12" },
      eaves: { column: "Eaves", unit: "cubits" },
    };
    const told = readReport(table, 0, match, "imperial").map((each) => [each.column, each.ok ? "" : each.message]);
    expect(told).toEqual([
      ["Area", "“12a” is no number."],
      ["Pitch", "“-3” is less than nothing."],
      ["Eaves", "“cubits” is no unit."],
    ]);
  });

  it("reads entries as they would be typed where its unit says so", () => {
    const table = tableOf("Pitch;Eaves\n6/12;38' 6\"\n");
    const match = { pitch: { column: "Pitch", unit: "written" }, eaves: { column: "Eaves", unit: "written" } };
    const [pitch, eaves] = readReport(table, 0, match, "imperial");
    expect(pitch).toMatchObject({ ok: true, value: 0.5 });
    expect(eaves?.ok && eaves.value).toBeCloseTo(38.5 * 0.3048, 9);
  });

  it("that is none is told, and why", () => {
    expect(messageOf("")).toBe("This report is empty.");
    expect(messageOf("Area\n")).toBe("There are no measurements in this report.");
    expect(messageOf("{")).toContain("This is no JSON");
    expect(messageOf('{"a":1}')).toBe("A JSON report is one list of roofs.");
    expect(messageOf("[1]")).toContain("record of names");
    expect(messageOf('[{"area":{"x":1}}]')).toContain("“area”");
    expect(messageOf("a,b\n1\n")).toContain("1 fields under 2 headings");
    expect(messageOf("a,a\n1,2\n")).toContain("both called “a”");
    expect(messageOf(`a\n${"1\n".repeat(501)}`)).toContain("501 rows");
    expect(messageOf(`a\n${"x".repeat(1_000_001)}`)).toContain("too large");
  });
});

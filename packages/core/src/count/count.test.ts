import { fixingsInSheet } from "../assemblies";
import { contexts, elevationOf, library, openingOf, wallOf } from "../testing/library";
import { feet, inches, millimetres } from "../units";
import { countPart } from "./index";

const bearing = wallOf("imperial", {
  lengthNm: feet(12),
  heightNm: inches(97.125),
  bearing: true,
  sheathed: true,
  openings: [
    openingOf("window", "w", { positionNm: inches(48), widthNm: inches(36), heightNm: inches(48), sillNm: inches(34) }),
  ],
});
const count = countPart(bearing, "imperial", library);
const line = (id: string) => {
  const found = count.lines.find((each) => each.id === `wall/${id}`);
  if (!found) throw new Error(`no line ${id} among ${count.lines.map((each) => each.id).join(", ")}`);
  return found;
};

describe("counting a wall", () => {
  it("counts what is drawn: each quantity of timber is the number of its pieces", () => {
    for (const each of count.lines.filter((other) => other.trade === "Framing")) {
      expect(each.quantity).toBe(each.pieceIds.length);
      expect(each.cutLengthsNm).toHaveLength(each.quantity);
      for (const id of each.pieceIds)
        expect(elevationOf(count.drawing).rectangles.some((shape) => shape.id === id)).toBe(true);
    }
    const counted = count.lines.filter((each) => each.trade !== "Fixings").flatMap((each) => each.pieceIds);
    expect(counted.toSorted()).toEqual(count.pieces.map((piece) => piece.id).toSorted());
  });

  it("shows the working of the studs with the numbers put in", () => {
    // By hand: 144 / 16 = 9 spaces, 10 positions, three of them taken by the window and its jambs.
    expect(line("studs/2x4").working).toMatchObject({
      withNumbers: "round up(12' 0\" ÷ 16 in) + 1 − 0 − 3 = 7",
      from: expect.arrayContaining([{ path: "length", label: "Length" }]),
    });
  });

  it("nails by the published schedule", () => {
    // IRC Table R602.3(1): stud to plate 2-16d end nails; 7 studs and 2 kings, two ends, two nails: 36.
    expect(line("studNails").quantity).toBe(36);
    // Double top plate, 10d at 24 in: a 12 ft cap plate takes 144 / 24 + 1 = 7.
    expect(line("capNails").quantity).toBe(7);
    // Sole plate, 16d at 16 in: 144 / 16 + 1 = 10.
    expect(line("plateNails").quantity).toBe(10);
    expect(line("studNails").working.source).toContain("IRC Table R602.3(1)");
  });

  it("nails a whole sheet with 62: 6 in round its edges, 12 in on two studs inside", () => {
    // IRC Table R602.3(1): panels 6 in at edges, 12 in in the field. Perimeter 288 in / 6 = 48; 96 / 12 - 1 = 7 a stud.
    const sheet = { widthNm: feet(4), heightNm: feet(8) };
    expect(fixingsInSheet(sheet, 2, inches(6), inches(12))).toBe(48 + 2 * 7);
  });

  it("counts 76 m of wall at 450 mm as 170 studs, one more than 2.222 a metre (common practice: 169)", () => {
    const wall = wallOf("metric", {
      lengthNm: millimetres(76_000),
      heightNm: millimetres(2700),
      spacingNm: millimetres(450),
      topPlates: 1,
    });
    const studs = countPart(wall, "metric", library).lines.find((each) => each.id === "wall/studs/38x89");
    // 76 000 / 450 = 168.9: 169 spaces, so 170 pieces with both ends; the rule of thumb leaves out the last.
    expect(studs?.quantity).toBe(170);
  });

  it("gives no lines, and says why, for a wall not measured or impossible", () => {
    const unmeasured = { ...bearing, openings: [], length: { valueNm: null, typed: "", assumed: false } };
    expect(countPart(unmeasured, "imperial", library)).toMatchObject({ lines: [], problems: [] });
    const impossible = { ...bearing, length: { valueNm: feet(2), typed: "2'", assumed: false } };
    const refused = countPart(impossible, "imperial", library);
    expect(refused.lines).toEqual([]);
    expect(refused.problems[0]?.code).toBe("opening-too-wide");
  });

  it("draws the figures that can be typed", () => {
    const paths = elevationOf(count.drawing).dimensions.flatMap((dimension) => dimension.path ?? []);
    expect(paths).toEqual(["length", "height", "openings.w.position", "openings.w.width"]);
    expect(contexts.imperial.system).toBe("imperial");
  });
});

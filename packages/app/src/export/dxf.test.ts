import { countPart, type PlanDrawing, partContext, studWallKind } from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import DxfParser from "dxf-parser";
import { elevationToDxf, planToDxf } from "./dxf";

const context = partContext("imperial", library);
const wall = studWallKind.withDimension(
  studWallKind.defaults("w", "Wall", context),
  "length",
  12 * 304_800_000,
  "12'",
  context,
);
const { drawing, pieces } = countPart(wall, "imperial", library);

type Ring = { type: string; layer: string; vertices: { x: number; y: number }[] };
/** Opened by a general-purpose reader, not by our own. */
function read(text: string): Ring[] {
  const parsed = new DxfParser().parseSync(text);
  if (!parsed) throw new Error("the DXF could not be read");
  return parsed.entities as unknown as Ring[];
}

describe("DXF", () => {
  it("of an elevation has each piece as a ring on its role's layer, in inches", () => {
    if (drawing.kind !== "elevation") throw new Error("a wall has an elevation");
    const rings = read(elevationToDxf(drawing, "imperial"));
    expect(rings.filter((ring) => ring.layer === "stud")).toHaveLength(
      pieces.filter((piece) => piece.role === "stud").length,
    );
    const [plate] = rings.filter((ring) => ring.layer === "bottom-plate");
    const xs = plate?.vertices.map((each) => each.x) ?? [];
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([0, 144]);
  });

  it("of a plan has its lines, and its names as text, in millimetres", () => {
    const plan: PlanDrawing = {
      kind: "plan",
      shapes: [
        {
          id: "floor",
          role: "room",
          closed: true,
          points: [
            { xNm: 0, yNm: 0 },
            { xNm: 3_000_000_000, yNm: 0 },
            { xNm: 3_000_000_000, yNm: 2_000_000_000 },
          ],
        },
      ],
      figures: [],
      labels: [
        { id: "name", at: { xNm: 1_000_000_000, yNm: 500_000_000 }, lines: ["Kitchen"], widthNm: 1, heightNm: 1 },
      ],
    };
    const entities = read(planToDxf(plan, "metric"));
    expect(entities.find((each) => each.type === "LWPOLYLINE")?.vertices.map(({ x, y }) => [x, y])).toEqual([
      [0, 0],
      [3000, 0],
      [3000, 2000],
    ]);
    expect(entities.find((each) => each.type === "TEXT")).toMatchObject({ text: "Kitchen" });
  });
});

import {
  countPart,
  kindOf,
  partContext,
  planJob,
  planPoints,
  type Roof,
  resolveParts,
  type StudWall,
  storeyMeasures,
} from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import { lanternHouse } from "./lanternHouse";

let made = 0;
const context = partContext("imperial", library);
const parts = lanternHouse(() => `part-${++made}`, context);
const plan = planJob(parts);

describe("Lantern House", () => {
  it("is measured as rooms on two storeys that close, stand clear of each other and agree with the tape", () => {
    expect(plan.storeys.map((storey) => [storey.name, storey.rooms.length])).toEqual([
      ["Ground", 4],
      ["Upper", 3],
    ]);
    expect(plan.storeys.every((storey) => storey.footprint?.rings.length === 1)).toBe(true);
    expect(planPoints(parts, plan, context)).toEqual([]);
  });

  it("comes to the outside that its rooms and walls add up to", () => {
    const [ground] = plan.storeys;
    const measures = ground ? storeyMeasures(ground, context) : [];
    const text = (id: string) => measures.find((each) => each.id === id)?.text;
    // The hall's recess goes 1'6 and its 4 in wall beyond the kitchen's left face; then 14'2, the 6 1/2 in wall, 15'5 and
    // 6 1/2 in: 32'6. Up from the kitchen's upper face: 6 1/2 in, the hall's 7'6 and 6 1/2 in: 8'7. Down from it: the boot
    // room's 10'4, its 6 1/2 in wall, the cupboard's 2'4 and 4 1/2 in: 13'7, past the kitchen's 12'11 and 6 1/2 in (by hand).
    expect(text("outside/across the page")).toBe("32' 6\"");
    expect(text("outside/up the page")).toBe("22' 2\"");
    expect(text("floor-area")).toBe("459.56 sq ft");
  });

  it("has new walls that take their figures from the rooms, and can all be framed", () => {
    const walls = resolveParts(parts, plan).filter((part): part is StudWall => part.kind === "stud-wall");
    expect(walls.filter((wall) => wall.plan)).toHaveLength(5);
    for (const wall of walls) {
      expect([wall.name, kindOf(wall).problems(wall, context)]).toEqual([wall.name, []]);
      expect(countPart(wall, "imperial", library).lines.length).toBeGreaterThan(3);
    }
    const lane = walls.find((wall) => wall.name === "Lane side");
    expect(lane?.meetings.map((meeting) => meeting.withName)).toEqual(["Drying cupboard"]);
    expect(lane?.openings.map((opening) => opening.name).toSorted()).toEqual(["Cupboard opening", "Window 3"]);
  });

  it("has a gable roof over the boot room and a lean-to with two hips over the porch, both with a form", () => {
    const roofs = parts.filter((part): part is Roof => part.kind === "roof");
    const counted = roofs.map((roof) => countPart(roof, "imperial", library));
    const of = (index: number, role: string) => counted[index]?.pieces.filter((piece) => piece.role === role).length;
    // 191 1/2 in at 16 in: 11 spaces and one short, 13 rafters a side.
    expect([of(0, "common-rafter"), of(0, "ridge"), of(0, "hip-rafter")]).toEqual([26, 1, 0]);
    expect([of(1, "hip-rafter"), of(1, "ridge")]).toEqual([2, 0]);
    for (const count of counted) expect([count.partName, count.problems]).toEqual([count.partName, []]);
  });
});

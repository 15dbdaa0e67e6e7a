import { ALONE } from "../../parts/partKind";
import { contexts } from "../../testing/library";
import { entered, walkedRoom } from "../../testing/rooms";
import { feet, inches } from "../../units";
import { newFeature, newRoomOpening, rectangleDefaults } from "./defaults";
import { drawRoom } from "./draw";
import type { Room } from "./schema";

const context = contexts.imperial;
const hall = entered(rectangleDefaults("hall", "Hall", context), { "runs.a.length": "12'", "runs.b.length": "10'" });
const shapeOf = (room: Room, id: string) => drawRoom(room, context, ALONE).shapes.find((shape) => shape.id === id);
const rounded = (points: readonly { xNm: number; yNm: number }[] | undefined) =>
  points?.map(({ xNm, yNm }) => [Math.round(xNm), Math.round(yNm)]);

describe("what is drawn of a room", () => {
  it("has a door through the thickness of its wall, as far along as it was typed", () => {
    const door = newRoomOpening(hall, "a", "door", "door", context);
    if (!door) throw new Error("no room for a door");
    const room = entered(
      { ...hall, openings: [door] },
      { "openings.door.position": "3'", "openings.door.width": "32" },
    );
    const thicknessNm = hall.runs[0]?.thickness.valueNm ?? 0;
    const quad = rounded(shapeOf(room, "door")?.points) ?? [];
    // Wall A goes along the top of the page, with the clock; its outside is above it, and up is more.
    expect([...quad].toSorted(([ax = 0, ay = 0], [bx = 0, by = 0]) => ax - bx || ay - by)).toEqual([
      [feet(3), 0],
      [feet(3), thicknessNm],
      [feet(3) + inches(32), 0],
      [feet(3) + inches(32), thicknessNm],
    ]);
  });

  it("shows, while it is walked, the way back to the start and the way the next wall goes", () => {
    const one = walkedRoom([["12'"]]);
    expect(shapeOf(one, "gap")).toBeUndefined();
    // Turned right at 12 ft: down the page. A sixth of what is drawn, but never less than a metre.
    expect(rounded(shapeOf(one, "next")?.points)).toEqual([
      [feet(12), 0],
      [feet(12), -1_000_000_000],
    ]);
    const two = walkedRoom([["36'"], ["10'"]]);
    expect(rounded(shapeOf(two, "gap")?.points)).toEqual([
      [feet(36), -feet(10)],
      [0, 0],
    ]);
    expect(rounded(shapeOf(two, "next")?.points)).toEqual([
      [feet(36), -feet(10)],
      [feet(30), -feet(10)],
    ]);
  });

  it("shows neither of a room that is closed", () => {
    expect([shapeOf(hall, "gap"), shapeOf(hall, "next")]).toEqual([undefined, undefined]);
  });

  it("has the clear figures of a recess at its back and its side", () => {
    const recess = newFeature(hall, "a", "recess", "f", context);
    if (!recess) throw new Error("no room for a recess");
    const figures = { "features.f.position": "2'", "features.f.width": "4'", "features.f.depth": "2'" };
    const room = entered({ ...hall, features: [recess] }, figures);
    const drawn = drawRoom(room, context, ALONE).figures.filter(({ path }) => path?.startsWith("features.f."));
    expect(drawn.map(({ id, text, from, to }) => [id, text, rounded([from, to])])).toEqual([
      [
        "width-f",
        "4' 0\"",
        [
          [feet(2), feet(2)],
          [feet(6), feet(2)],
        ],
      ],
      [
        "depth-f",
        "2' 0\"",
        [
          [feet(2), 0],
          [feet(2), feet(2)],
        ],
      ],
    ]);
  });
});

import { confirmedChoice, measured } from "../../parts/dimension";
import { enterDimension } from "../../parts/entry";
import type { RoomOpening } from "../../parts/opening";
import { ALONE } from "../../parts/partKind";
import { contexts } from "../../testing/library";
import { entered, measureText, walkedRoom } from "../../testing/rooms";
import { feet, inches, millimetres, toSquareFeet } from "../../units";
import { ceilingPlanes, slopedArea, volumeUnder } from "./ceiling";
import { newDrop, newFeature, newRoomOpening, rectangleDefaults } from "./defaults";
import { withoutFeature } from "./edit";
import { roomKind } from "./index";
import { openingArea, revealLengthNm } from "./openings";
import { outlineOf } from "./outline";
import type { Room } from "./schema";

const context = contexts.imperial;
const rectangle = (a: string, b: string): Room =>
  entered(rectangleDefaults("room", "Hall", context), { "runs.a.length": a, "runs.b.length": b });

const text = (room: Room, id: string): string => measureText(roomKind.measures(room, context, ALONE), id);

const withOpening = (
  room: Room,
  hostId: string,
  kind: RoomOpening["kind"],
  id: string,
  entries: Record<string, string>,
): Room => {
  const opening = newRoomOpening(room, hostId, kind, id, context);
  if (!opening) throw new Error(`no room for a ${kind}`);
  const paths = Object.fromEntries(Object.entries(entries).map(([field, typed]) => [`openings.${id}.${field}`, typed]));
  return entered({ ...room, openings: [...room.openings, opening] }, paths);
};

const withFeature = (room: Room, runId: string, kind: "recess" | "bump", entries: Record<string, string>): Room => {
  const feature = newFeature(room, runId, kind, "f", context);
  if (!feature) throw new Error(`no room for a ${kind}`);
  const paths = Object.fromEntries(Object.entries(entries).map(([field, typed]) => [`features.f.${field}`, typed]));
  return entered({ ...room, features: [...room.features, feature] }, paths);
};

describe("a worked room", () => {
  // 13 ft 8 in x 11 ft 3 in: 153.75 sq ft, perimeter 49 ft 10 in (arithmetic).
  const hall = rectangle("13'8", "11'3");

  it("has the area and perimeter of the arithmetic", () => {
    expect(text(hall, "floor-area")).toBe("153.75 sq ft");
    expect(text(hall, "perimeter")).toBe("49' 10\"");
    expect(text(hall, "corners")).toBe("4 inside, 0 outside");
  });

  it("has walls, net walls, reveals and volume with a door and a window in it", () => {
    // 8 ft high: 49 10/12 x 8 = 398.67; door 32 x 80 in = 17.78; window 36 x 48 in = 12 sq ft; volume 153.75 x 8 = 1230
    // (arithmetic). Reveals: door 2 x 80 + 32 = 192 in, window 2 x 48 + 36 + 36 = 168 in: 360 in = 30 ft.
    const withDoor = withOpening(hall, "a", "door", "o1", { width: "32", height: "80" });
    const room = withOpening(withDoor, "b", "window", "w", { width: "3'", height: "4'", sill: "34" });
    expect(text(room, "wall-area")).toBe("398.67 sq ft");
    expect(text(room, "net-wall-area")).toBe("368.89 sq ft");
    expect(text(room, "net-perimeter")).toBe("47' 2\"");
    expect(text(room, "volume")).toBe("1230 cu ft");
    expect(text(room, "reveals")).toMatch(/^30 ft, 11.25 sq ft$/);
    expect(text(room, "wall-area/a")).toBe("109.33 sq ft");
    expect(text(room, "net-wall-area/a")).toBe("91.56 sq ft");
  });

  it("shows a working that stands on its figures", () => {
    const area = roomKind.measures(hall, context, ALONE).find((each) => each.id === "floor-area");
    expect(area?.working.withNumbers).toBe("13' 8\" × 11' 3\" = 153.75 sq ft");
    expect(area?.shapeIds).toEqual(["floor"]);
  });

  it("lets the walls opposite follow until they are measured", () => {
    const changed = entered(hall, { "runs.a.length": "14'" });
    expect(changed.runs.map((run) => run.length.valueNm)).toEqual([feet(14), inches(135), feet(14), inches(135)]);
    const read = entered(changed, { "runs.c.length": "14'" });
    expect(entered(read, { "runs.a.length": "15'" }).runs[2]?.length.valueNm).toBe(feet(14));
  });
});

describe("recesses and bumps", () => {
  const room = rectangle("20'", "12'");

  it("breaks 6 ft 7 in from the partition's centre line for 6 ft 5 in clear and a 4 in partition", () => {
    const closet = withFeature(room, "b", "recess", { width: "6'5", depth: "2'4", thickness: "4", position: "1'" });
    expect(text(closet, "break/f")).toBe("6' 7\"");
    // 240 + 6'5" x 2'4" = 14.97 (arithmetic): the clear area alone.
    expect(text(closet, "floor-area")).toBe("254.97 sq ft");
    expect(text(closet, "corners")).toBe("6 inside, 2 outside");
  });

  it("takes the thickness of a bump's walls out of the room", () => {
    // 4 ft clear and 2 ft deep behind 4 1/2 in walls: 57 in by 28 1/2 in out of 240 sq ft = 228.72 (arithmetic).
    const bump = withFeature(room, "a", "bump", { position: "5'", width: "4'", depth: "2'" });
    expect(text(bump, "floor-area")).toBe("228.72 sq ft");
    expect(text(bump, "corners")).toBe("6 inside, 2 outside");
    expect(text(bump, "perimeter")).toBe("68' 9\"");
  });

  it("goes with its openings when it is taken out", () => {
    const closet = withFeature(room, "b", "recess", { width: "6'5", depth: "2'4", position: "1'" });
    const shelf = withOpening(closet, "f", "window", "w", {});
    expect(withoutFeature(shelf, "f")).toMatchObject({ features: [], openings: [] });
  });

  it.each([
    ["f.width", "0", "more than zero"],
    ["f.depth", "0", "more than zero"],
    ["f.width", "30'", "past the end of Wall B"],
    ["f.position", "7'", "past the end of Wall B"],
  ])("refuses %s of %s and keeps it beside", (field, typed, why) => {
    const closet = withFeature(room, "b", "recess", { width: "6'5", depth: "2'4", position: "1'" });
    const result = enterDimension(roomKind, closet, `features.${field}`, typed, context);
    expect(result.problem?.message).toContain(why);
    expect(text(result.part, "floor-area")).toBe("254.97 sq ft");
    expect(roomKind.openPoints(result.part, context).some((point) => point.kind === "refused")).toBe(true);
  });

  it("finds a bump that goes through the wall opposite", () => {
    const through = withFeature(room, "a", "bump", { position: "5'", width: "4'", depth: "13'" });
    expect(outlineOf(through).polygon).toBeUndefined();
    expect(roomKind.openPoints(through, context)[0]?.message).toContain("cross");
  });
});

describe("openings", () => {
  const room = rectangle("12'", "10'");
  const withDoor = withOpening(room, "a", "door", "o1", { position: "2'", width: "3'", height: "80" });

  it.each([
    ["position", "10'", "past the corner at the end of Wall A"],
    ["width", "0", "more than zero"],
    ["width", "-2'", "more than zero"],
    ["position", "-1", "not below zero"],
    ["height", "9'", "above the ceiling"],
  ])("refuses a %s of %s", (field, typed, why) => {
    const result = enterDimension(roomKind, withDoor, `openings.o1.${field}`, typed, context);
    expect(result.problem?.message).toContain(why);
    expect(result.part.openings[0]?.position.valueNm).toBe(feet(2));
  });

  it("keeps openings of one wall apart, and a shorter wall from cutting one", () => {
    const two = withOpening(withDoor, "a", "window", "w", { position: "6'" });
    expect(enterDimension(roomKind, two, "openings.w.position", "4'6", context).problem?.message).toBe(
      'Window 1 overlaps Door 1 by 6".',
    );
    expect(enterDimension(roomKind, two, "runs.a.length", "7'", context).problem?.code).toBe("across-corner");
    expect(newRoomOpening(rectangle("2'", "10'"), "a", "door", "x", context)).toBeUndefined();
  });

  it("has the area and the edge of an arch by the ellipse", () => {
    const arch = withOpening(room, "b", "arch", "x", { width: "4'", height: "7'", rise: "2'" }).openings[0];
    if (!arch) throw new Error("no arch");
    // A semicircle of 2 ft radius on a 4 x 5 ft rectangle: 20 + 2π = 26.28 sq ft; edge 10 + 2π ft (arithmetic).
    expect(toSquareFeet(openingArea(arch))).toBeCloseTo(20 + 2 * Math.PI, 6);
    expect(revealLengthNm(arch) / feet(1)).toBeCloseTo(10 + 2 * Math.PI, 6);
  });
});

describe("ceilings", () => {
  const room = rectangle("12'", "10'");
  const shaped = (shape: Room["ceiling"]["shape"]["value"], change: Partial<Room["ceiling"]>): Room => ({
    ...room,
    ceiling: { ...room.ceiling, shape: confirmedChoice(shape), height: measured(feet(8), "8'"), ...change },
  });

  it("has the true area of a slope by two heights", () => {
    // From 8 ft at wall A to 15 ft 6 in, 10 ft across: slope 0.75, hypotenuse 12.5 ft (3-4-5), so 12 x 12.5 = 150 sq ft.
    const sloped = shaped("sloped", { highHeight: measured(inches(186), "15'6") });
    expect(text(sloped, "ceiling-area")).toBe("150 sq ft");
    // Mean height 11 ft 9 in: 120 x 11.75 = 1410 cu ft; walls 12 x 8 + 12 x 15.5 + 2 x 10 x 11.75 = 517 sq ft.
    expect(text(sloped, "volume")).toBe("1410 cu ft");
    expect(text(sloped, "wall-area")).toBe("517 sq ft");
  });

  it("has the true area of a slope by its pitch, and of a vault", () => {
    const pitched = shaped("sloped", { pitchDegrees: 30 });
    expect(text(pitched, "ceiling-area")).toBe(`${Number((120 / Math.cos(Math.PI / 6)).toFixed(2))} sq ft`);
    // A vault over 10 ft rises over 5 ft: 8 to 11 ft 9 in is 0.75 again; 150 sq ft, mean height 9 ft 10 1/2 in.
    const vault = shaped("vaulted", { highHeight: measured(inches(141), "11'9") });
    expect(text(vault, "ceiling-area")).toBe("150 sq ft");
    expect(text(vault, "volume")).toBe("1185 cu ft");
    // Two gables: 10 x 8 + half of 10 x 3.75 each = 98.75; two sides of 12 x 8 = 96; 389.5 in all.
    expect(text(vault, "wall-area")).toBe("389.5 sq ft");
  });

  it("rises from the wall it is said to rise from", () => {
    const sloped = shaped("sloped", { fromRunId: "b", highHeight: measured(feet(11), "11'") });
    const planes = ceilingPlanes(sloped, outlineOf(sloped));
    // Wall B is at the right of the page: 3 ft over 12 ft.
    expect(planes?.slope).toBeCloseTo(0.25, 9);
    expect(planes?.heightAt({ xNm: 0, yNm: 0 })).toBeCloseTo(feet(11), 0);
    expect(slopedArea(16, 0.75)).toBe(20);
    expect(volumeUnder([], planes ?? { heightAt: () => 0, slope: 0, inward: { x: 0, y: 1 }, ridgeNm: undefined })).toBe(
      0,
    );
  });

  it("adds the sides of a bulkhead and takes its air", () => {
    const bulkhead = newDrop(room, "bulkhead", "k");
    const start = { ...room, ceiling: { ...room.ceiling, drops: [bulkhead] } };
    const dropped = entered(start, { "drops.k.length": "12'", "drops.k.width": "1'", "drops.k.depth": "1'" });
    // One upright side of 12 sq ft; 12 cu ft less of 960.
    expect(text(dropped, "ceiling-area")).toBe("132 sq ft");
    expect(text(dropped, "volume")).toBe("948 cu ft");
  });

  it("asks for the slope, and refuses a top below the foot", () => {
    expect(roomKind.openPoints(shaped("sloped", {}), context).map((point) => point.path)).toContain(
      "ceiling.highHeight",
    );
    const sloped = shaped("sloped", {});
    expect(enterDimension(roomKind, sloped, "ceiling.highHeight", "7'", context).problem?.code).toBe("high-below-low");
  });
});

describe("open points and bad input", () => {
  it("keeps a walk that crosses itself, and says which walls cross", () => {
    const room = walkedRoom([["10'"], ["10'"], ["5'"], ["12'"], ["8'"]]);
    const crossed = outlineOf({ ...room, finished: true });
    expect(crossed.polygon).toBeUndefined();
    expect(roomKind.openPoints(room, context)[0]).toMatchObject({
      path: "walk",
      kind: "conflict",
      message: expect.stringContaining("Wall A and Wall D cross"),
    });
    expect(roomKind.measures(room, context, ALONE)).toEqual([]);
  });

  it("has the same measures turned inside out, walked to the left", () => {
    const left = walkedRoom([
      ["13'8", 90],
      ["11'3", 90],
      ["13'8", 90],
      ["11'3", 90],
    ]);
    expect(text(left, "floor-area")).toBe("153.75 sq ft");
    expect(text(left, "corners")).toBe("4 inside, 0 outside");
  });

  it("counts what is assumed and what is missing", () => {
    const points = roomKind.openPoints(rectangleDefaults("r", "R", context), context);
    expect(points.filter((point) => point.kind === "missing").length).toBe(5);
    expect(roomKind.openPoints(rectangle("12'", "10'"), context).every((point) => point.kind === "assumed")).toBe(true);
  });

  it.each(["0", "-4'", "300 m", "12'' '", ""])("refuses a wall of “%s”", (typed) => {
    const result = enterDimension(roomKind, rectangle("12'", "10'"), "runs.a.length", typed, context);
    expect(result.problem).toBeDefined();
    expect(result.part.runs[0]?.length.valueNm).toBe(feet(12));
  });

  it("measures in millimetres too", () => {
    const metric = entered(
      rectangleDefaults("m", "M", contexts.metric),
      { "runs.a.length": "4.2m", "runs.b.length": "3100" },
      contexts.metric,
    );
    expect(metric.runs[3]?.length.valueNm).toBe(millimetres(3100));
    expect(measureText(roomKind.measures(metric, contexts.metric, ALONE), "floor-area")).toBe("13.02 m²");
  });
});

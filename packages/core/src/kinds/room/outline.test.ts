import { contexts } from "../../testing/library";
import { entered } from "../../testing/rooms";
import { feet, inches } from "../../units";
import { newFeature, rectangleDefaults } from "./defaults";
import { featureSpan, featuresOf, outlineOf } from "./outline";
import type { Feature, Room } from "./schema";

const context = contexts.imperial;
const den = entered(rectangleDefaults("den", "Den", context), { "runs.a.length": "12'", "runs.b.length": "10'" });

function featureIn(room: Room, kind: Feature["kind"], id: string, position: string): Room {
  const feature = newFeature(room, "a", kind, id, context);
  if (!feature) throw new Error("no room for it");
  const figures = { width: "3'", position, depth: "1'", thickness: '4 1/2"' };
  const paths = Object.entries(figures).map(([field, typed]) => [`features.${id}.${field}`, typed]);
  return entered({ ...room, features: [...room.features, feature] }, Object.fromEntries(paths));
}

describe("recesses and bumps in a wall", () => {
  const both = featureIn(featureIn(den, "bump", "late", "7'"), "recess", "early", "2'");
  const inFeet = (nm: number) => nm / feet(1);
  const facesOn = (room: Room) =>
    outlineOf(room)
      .faces.filter((face) => face.runId === "a")
      .map(({ id, startNm, endNm }) => [id, inFeet(startNm), inFeet(endNm)]);

  it("take their clear width, and a bump its two walls and its front besides", () => {
    const [late, early] = both.features;
    if (!late || !early) throw new Error("two were put in");
    expect(featureSpan(early)).toEqual({ startNm: feet(2), endNm: feet(5), depthNm: feet(1) });
    expect(featureSpan(late)).toEqual({ startNm: feet(7), endNm: feet(10.75), depthNm: feet(1) + inches(4.5) });
  });

  it("stand in the order of the wall, whichever was put in first, with the wall's stretches between", () => {
    expect(featuresOf(both, "a").map(({ id }) => id)).toEqual(["early", "late"]);
    expect(featuresOf(both, "b")).toEqual([]);
    expect(facesOn(both)).toEqual([
      ["a/0", 0, 2],
      ["a/early/first-side", 0, 1],
      ["a/early/back", 0, 3],
      ["a/early/second-side", 0, 1],
      ["a/1", 5, 7],
      ["a/late/first-side", 0, 1.375],
      ["a/late/back", 0, 3.75],
      ["a/late/second-side", 0, 1.375],
      ["a/2", 10.75, 12],
    ]);
    expect(facesOn(den)).toEqual([["a", 0, 12]]);
  });

  it("leave no stretch of no length at either corner", () => {
    expect(facesOn(featureIn(den, "recess", "f", "0'")).map(([id]) => id)).toEqual([
      "a/f/first-side",
      "a/f/back",
      "a/f/second-side",
      "a/1",
    ]);
    expect(facesOn(featureIn(den, "recess", "f", "9'")).map(([id]) => id)).toEqual([
      "a/0",
      "a/f/first-side",
      "a/f/back",
      "a/f/second-side",
    ]);
  });
});

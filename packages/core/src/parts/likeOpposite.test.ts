import { kindOf, type Part, roomKind } from "../kinds";
import { rectangleDefaults } from "../kinds/room/defaults";
import { footingOf, raftOf, slabOf } from "../testing/ground";
import { deckOf, floorOf } from "../testing/joists";
import { contexts } from "../testing/library";
import { rectangle, roofOf } from "../testing/roofs";
import { entered } from "../testing/rooms";
import { feet } from "../units";
import { followRectangle, likeOpposite } from "./walkedOutline";

const sides = { "edges.a.length": "24'", "edges.b.length": "20'" };
const roof = roofOf("imperial", rectangle(feet(24), feet(20), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 });
const twoOfRoof = roof.edges.map((edge, index) =>
  index < 2 ? edge : { ...edge, length: { ...edge.length, assumed: true } },
);
const parts: readonly Part[] = [
  floorOf("imperial", sides),
  deckOf("imperial", { ...sides, rise: "3'" }),
  raftOf("imperial", sides),
  slabOf("imperial", sides),
  footingOf("imperial", sides),
  { ...roof, edges: [...followRectangle(twoOfRoof)] },
  entered(rectangleDefaults("den", "Den", contexts.imperial), { "runs.a.length": "24'", "runs.b.length": "20'" }),
];

describe.each(parts.map((part) => [part.kind, part] as const))("a rectangle of two figures: a %s", (_, part) => {
  const kind = kindOf(part);
  const context = contexts.imperial;
  const lengths = kind.dimensions(part, context).filter(({ path }) => /^(edges|runs)\..\.length$/.test(path));

  it("has its other sides follow, which nobody is asked for", () => {
    expect(lengths.map(({ dimension }) => dimension.valueNm)).toEqual([feet(24), feet(20), feet(24), feet(20)]);
    expect(lengths.map(({ follows }) => follows ?? false)).toEqual([false, false, true, true]);
    const points = kind.openPoints(part, context).map(({ path }) => path);
    expect(points.filter((path) => lengths.some((each) => each.path === path))).toEqual([]);
  });

  it("has a side of its own once that is measured", () => {
    const third = lengths[2]?.path ?? "";
    const now = kind.withDimension(part, third, feet(23), "23'", context);
    const found = kind.dimensions(now, context).find(({ path }) => path === third);
    expect([found?.dimension.valueNm, found?.follows ?? false]).toEqual([feet(23), false]);
  });
});

it("a room that is walked, an outline of five sides and a slant have none that follow", () => {
  const walked = roomKind.defaults("r", "R", contexts.imperial);
  expect(roomKind.dimensions(walked, contexts.imperial).some(({ path, follows }) => follows && /runs/.test(path))).toBe(
    false,
  );
  const assumed = roof.edges.map((edge) => ({ ...edge, length: { ...edge.length, assumed: true } }));
  expect(likeOpposite(assumed).size).toBe(2);
  expect(likeOpposite(assumed.map((edge) => ({ ...edge, turnDegrees: 80 }))).size).toBe(0);
  expect(likeOpposite(assumed.slice(1)).size).toBe(0);
});

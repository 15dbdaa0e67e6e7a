import { kindOf, measured, PART_KINDS, type Part, rectangleDefaults, type StudWall } from "../kinds";
import { assemblyOf, contexts, library, openingOf, wallOf } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches } from "../units";
import { countPart } from "./index";

const context = contexts.imperial;
const using = (part: Part, id: string): Part => ({
  ...part,
  uses: [{ id: "u", assembly: { id, version: assemblyOf("imperial", id).version }, choices: {} }],
});

const wall: StudWall = {
  ...wallOf("imperial", {
    lengthNm: feet(16),
    heightNm: feet(9),
    bearing: true,
    sheathed: true,
    openings: [
      openingOf("door", "d", { positionNm: feet(1), widthNm: feet(3), heightNm: inches(82.5) }),
      openingOf("window", "w", { positionNm: feet(7), widthNm: feet(4), heightNm: feet(4), sillNm: feet(3) }),
    ],
    assemblyId: "outside-wall",
  }),
  ends: { left: "corner-through", right: "free" },
};
const PARTS: readonly (readonly [string, Part])[] = [
  ["a wall", wall],
  [
    "a room",
    using(
      entered(rectangleDefaults("r", "R", context), { "runs.a.length": "12'", "runs.b.length": "10'" }),
      "room-board",
    ),
  ],
  [
    "an area",
    using(
      { ...PART_KINDS.area.defaults("a", "A", context), length: measured(feet(9), ""), width: measured(feet(8), "") },
      "sheathing-membrane",
    ),
  ],
  ["walls by totals", { ...PART_KINDS["wall-totals"].defaults("t", "T", context), length: measured(feet(80), "") }],
  ["spots", using({ ...PART_KINDS.spots.defaults("s", "S", context), count: 3 }, "door-set")],
];

describe("what a count says that it comes from", () => {
  it.each(PARTS)("of %s opens a figure there is, a choice, or the part as a whole", (_, part) => {
    const { lines } = countPart(part, "imperial", library);
    const figures = new Set(
      kindOf(part)
        .dimensions(part, context)
        .map((slot) => slot.path),
    );
    const paths = lines.flatMap((line) => line.working.from.map((each) => each.path));
    expect(paths.length).toBeGreaterThan(0);
    const opens = (path: string) => path === "" || /^choices\./.test(path) || figures.has(path) || path === "count";
    expect(paths.filter((path) => !opens(path))).toEqual([]);
  });
});

import { countPart } from "../../../count";
import { isFraming } from "../../../drawing/piece";
import { newRoofFeature, type Roof } from "../../../kinds";
import { library } from "../../../testing/library";
import { rectangle, roofOf, said } from "../../../testing/roofs";
import { feet, inches, toInches, toMetres } from "../../../units";

const countOf = (roof: Roof) => countPart(roof, "imperial", library);
const quantityOf = (roof: Roof, rule: string): number =>
  countOf(roof)
    .lines.filter((line) => line.rule === rule)
    .reduce((sum, line) => sum + line.quantity, 0);

describe("a lean-to that stands free, 20 by 10 ft at 4 in 12, 1 ft over its low edge and 6 in over its high one", () => {
  const edges = rectangle(feet(20), feet(10), ["eave", "gable", "gable", "gable"]).map((edge, index) =>
    index === 0 ? { ...edge, overhangNm: feet(1) } : { ...edge, overhangNm: index === 2 ? inches(6) : 0 },
  );
  const roof = roofOf("imperial", edges, { pitch: 4 / 12, choices: { rafterSpacing: inches(16) } });

  it("has a gutter and a fascia along its low edge alone", () => {
    expect(quantityOf(roof, "gutterRun")).toBeCloseTo(toMetres(feet(20)), 6);
    expect(quantityOf(roof, "fasciaBoards")).toBeCloseTo(toMetres(feet(20)), 6);
  });

  it("has rafters that hang over at both ends: by Pythagoras", () => {
    const rafters = countOf(roof)
      .pieces.filter(isFraming)
      .filter(({ role }) => role === "common-rafter");
    const lengths = new Set(rafters.map(({ cutLengthNm }) => toInches(cutLengthNm).toFixed(2)));
    expect([...lengths]).toEqual([((12 + 120 + 6) * Math.hypot(1, 1 / 3)).toFixed(2)]);
    expect(rafters).toHaveLength(16);
  });
});

describe("rainwater", () => {
  // An eave of 41 ft wants two where one serves 40 ft; two of 21 ft want one each, though their sum is 42.
  it("is led off by run", () => {
    const gabled = (lengthFt: number) =>
      roofOf("imperial", rectangle(feet(lengthFt), feet(24), ["eave", "gable", "eave", "gable"]), {
        pitch: 0.5,
        choices: { eavesToDownpipe: feet(40), bracketsApart: feet(3) },
      });
    expect(quantityOf(gabled(41), "gutterOutlets")).toBe(4);
    expect(quantityOf(gabled(21), "gutterOutlets")).toBe(2);
    expect(quantityOf(gabled(21), "gutterBrackets")).toBe(2 * (7 + 1));
  });

  it("runs on over eaves that go on in one line", () => {
    const parted = roofOf(
      "imperial",
      [
        { lengthNm: feet(20), end: "eave", turn: 0 },
        { lengthNm: feet(20), end: "eave" },
        { lengthNm: feet(24), end: "gable" },
        { lengthNm: feet(40), end: "eave" },
        { lengthNm: feet(24), end: "gable" },
      ],
      { pitch: 0.5, choices: { eavesToDownpipe: feet(40) } },
    );
    expect(quantityOf(parted, "gutterOutlets")).toBe(2);
  });
});

it("the flashing of a chimney is the same however many roof windows lie beside it", () => {
  const plain = roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 });
  const chimney = newRoofFeature(plain, "chimney", "a", "c", "imperial");
  const window = newRoofFeature(plain, "roof-window", "c", "w", "imperial");
  if (!chimney || !window) throw new Error("eavesAndTops: nothing stands on this roof");
  const flashing = (features: Roof["features"]) => quantityOf({ ...plain, features }, "chimneyFlashing");
  expect(flashing([chimney])).toBeGreaterThan(0);
  expect(flashing([chimney, window, { ...window, id: "w2", along: said(feet(30)) }])).toBe(flashing([chimney]));
});

it("tiles are whole in every row: 10 m of 0.3 m are 34 a row", () => {
  const roof = roofOf("metric", rectangle(10e9, 6e9, ["eave", "gable", "eave", "gable"]), {
    pitch: 0.75,
    choices: { covering: "tiles", gauge: 250_000_000, tileWidth: 300_000_000 },
  });
  const lines = countPart(roof, "metric", library).lines;
  // 3 m of run are 3.75 m of slope: 15 rows, on both slopes.
  expect(lines.find(({ rule }) => rule === "roofTiles")?.quantity).toBe(2 * 15 * 34);
});

describe("a hipped roof that hangs 40 in over its walls, its rafters 16 in apart", () => {
  const edges = rectangle(feet(24), feet(24), ["eave", "eave", "eave", "eave"]);
  const roof = (overhangNm: number) =>
    roofOf("imperial", edges, { pitch: 0.5, overhangNm, choices: { rafterSpacing: inches(16) } });
  const jacks = (of: Roof) =>
    countOf(of)
      .pieces.filter(isFraming)
      .filter(({ role }) => role === "hip-jack");

  // 32 and 16 in past the corner of the walls, and at it, they are 8, 24 and 40 in long on plan: three at each of eight places, of which 10 in have the one at the corner.
  it("has short tails past the corners of the walls", () => {
    const added = jacks(roof(inches(40))).length - jacks(roof(inches(10))).length;
    expect(added).toBe(2 * 8);
    const unseated = jacks(roof(inches(40))).filter(({ cut }) => cut?.seatNm === 0);
    expect(unseated).toHaveLength(3 * 8);
  });

  it("says what is not counted under it, at each edge", () => {
    const told = countOf(roof(inches(40))).problems.filter(({ code }) => code === "long-tails");
    expect(told.map(({ message }) => message.slice(0, 6))).toEqual(["Edge A", "Edge B", "Edge C", "Edge D"]);
    expect(countOf(roof(inches(24))).problems.map(({ code }) => code)).not.toContain("long-tails");
  });
});

it("a roof window that takes all but its ends of a jack out has no jack through it", () => {
  const plain = roofOf("imperial", rectangle(feet(30), feet(24), ["eave", "eave", "eave", "eave"]), {
    pitch: 0.5,
    overhangNm: inches(16),
    choices: { rafterSpacing: inches(16) },
  });
  const made = newRoofFeature(plain, "roof-window", "a", "w", "imperial");
  if (!made) throw new Error("eavesAndTops: no window lies in this roof");
  // The jack at 64 in runs 64 in up to the hip; the window begins an inch before it, two inches in, and ends two short of the hip. Along the slope.
  const depthNm = Math.round(inches(60) * Math.hypot(1, 0.5));
  const window = {
    ...made,
    along: said(inches(63)),
    width: said(inches(24)),
    back: said(inches(2)),
    depth: said(depthNm),
  };
  const jacksAt64 = (features: Roof["features"]) =>
    countOf({ ...plain, features })
      .pieces.filter(isFraming)
      .filter(
        ({ role, xNm, yNm }) => role === "hip-jack" && yNm <= 0 && Math.abs(xNm - inches(64 - 0.75)) < inches(0.1),
      );
  expect(jacksAt64([])).toHaveLength(1);
  expect(jacksAt64([window])).toEqual([]);
});

import { BUILDS } from "../kinds/builds";
import { type Pad, padKind } from "../kinds/pad";
import { layOutPad } from "../kinds/pad/build/layOut";
import type { Layout } from "../layouts";
import { noDrawing } from "../parts/looseDrawing";
import type { PartKind } from "../parts/partKind";
import { metres } from "../units";
import { checksOf, type Sample } from "./conformance";
import { padOf, WAYS_OF_DIGGING } from "./ground";

const sample: Sample<Pad> = {
  system: "metric",
  part: padOf("metric", "pad", 1, { length: "600 mm", width: "700 mm", height: "300 mm" }, { padBarsEachWay: 4 }),
  thrice: (pad) => ({ ...pad, count: 3 }),
  choices: {
    beside: ["rounding"],
    others: [
      ...WAYS_OF_DIGGING,
      { pourApart: true, concreteBy: "bags" },
      { fill: 100_000_000, blinding: 50_000_000 },
      { padBarsEachWay: 4 },
    ],
  },
};

type Break = {
  readonly kind?: Partial<PartKind<Pad>>;
  readonly build?: (laid: Layout, pad: Pad) => Layout;
  /** What the layout is given in place of the part. */
  readonly given?: (pad: Pad) => Pad;
};

const { withDimension, quantities, outline, defaults, dimensions, problems } = padKind;

/** Each as somebody who writes a new kind could make it. */
const BREAKS: Readonly<Record<string, Break>> = {
  "a figure that cannot be set": {
    kind: { withDimension: (pad, path, ...rest) => (path === "width" ? pad : withDimension(pad, path, ...rest)) },
  },
  "a figure that sets another as well": {
    kind: {
      withDimension: (pad, path, ...rest) => withDimension(withDimension(pad, path, ...rest), "height", ...rest),
    },
  },
  "a part that is changed in place": {
    kind: {
      withDimension: (pad, path, ...rest) => {
        const changed = withDimension(pad, path, ...rest);
        Object.assign(pad, { notes: "changed" });
        return changed;
      },
    },
  },
  "a length in nanometres": {
    kind: { quantities: (pad, around) => ({ ...quantities(pad, around), height: pad.height.valueNm ?? 0 }) },
  },
  "an area in square millimetres": {
    kind: {
      quantities: (pad, around) => {
        const values = quantities(pad, around);
        return { ...values, planArea: (values.planArea ?? 0) * 1e6 };
      },
    },
  },
  "an outline in metres": {
    kind: { outline: (pad) => ({ ...outline(pad), widthNm: 0.6, heightNm: 0.3 }) },
  },
  "an entry that is refused and forgotten": { kind: { withRefused: (pad) => pad } },
  "a figure of less than nothing let through": {
    kind: { problems: (pad, context) => problems(pad, context).filter(({ code }) => code !== "not-positive") },
  },
  "a starter that is not there": {
    kind: { defaults: (...given) => ({ ...defaults(...given), assembly: { id: "pads", version: 1 } }) },
  },
  "a figure nobody is asked for": {
    kind: { dimensions: (pad, context) => dimensions(pad, context).filter(({ path }) => path !== "height") },
  },
  "nothing said of what is missing": { kind: { openPoints: () => [] } },
  "a quantity that formulas do not find": {
    kind: {
      quantities: (pad, around) => {
        const { concrete: _, ...values } = quantities(pad, around);
        return values;
      },
    },
  },
  "a drawing without anything on it": { build: (laid) => ({ ...laid, draw: noDrawing }) },
  "two pieces of one id": {
    build: (laid) => ({ ...laid, pieces: laid.pieces.map((piece) => ({ ...piece, id: "piece" })) }),
  },
  "a piece of an unknown role": {
    build: (laid) => ({ ...laid, pieces: laid.pieces.map((piece) => ({ ...piece, role: "something" })) }),
  },
  "pieces a hundred metres away": {
    build: (laid) => ({ ...laid, pieces: laid.pieces.map((piece) => ({ ...piece, xNm: piece.xNm + metres(100) })) }),
  },
  "pieces that no line counts": {
    build: (laid) => {
      const stray = laid.pieces.find(({ role }) => role === "pad-bar");
      return stray ? { ...laid, pieces: [...laid.pieces, { ...stray, id: "stray", role: "tie" }] } : laid;
    },
  },
  "built once, however often it is built": { build: (laid) => ({ ...laid, repeats: 1 }) },
  "a choice that the layout does not read": {
    given: (pad) =>
      pad.settled
        ? { ...pad, settled: { ...pad.settled, choices: { ...pad.settled.choices, padBarsEachWay: 4 } } }
        : pad,
  },
};

/** The kind is asked through the registry: broken in place, and put back. */
function foundIn({ kind = {}, build = (laid) => laid, given = (pad) => pad }: Break): string[] {
  const whole = { ...padKind };
  Object.assign(padKind, kind);
  Object.assign(BUILDS, {
    pad: (...[pad, assembly, site]: Parameters<typeof layOutPad>) => build(layOutPad(given(pad), assembly, site), pad),
  });
  try {
    return checksOf(padKind, { ...sample, part: structuredClone(sample.part) }).flatMap(({ name, run }) => {
      try {
        run();
        return [];
      } catch {
        return [name];
      }
    });
  } finally {
    Object.assign(padKind, whole);
    Object.assign(BUILDS, { pad: layOutPad });
  }
}

describe("what every kind is asked", () => {
  it("finds nothing in a kind that is whole", () => {
    expect(foundIn({})).toEqual([]);
  });

  it.each(Object.entries(BREAKS))("notices %s", (_, broken) => {
    expect(foundIn(broken).length).toBeGreaterThan(0);
  });
});

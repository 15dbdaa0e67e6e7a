import fc from "fast-check";
import { countPart } from "../../count";
import { isFraming, isSheet, type Piece } from "../../drawing/piece";
import { areaOfRing } from "../../geometry/skeleton";
import type { FloorOpening, Support } from "../../joists";
import { ALONE } from "../../parts/partKind";
import { floorOf } from "../../testing/joists";
import { contexts, library } from "../../testing/library";
import { inches, millimetres } from "../../units";
import { floorKind } from "./index";
import type { Floor } from "./schema";

const of = (nm: number) => ({ valueNm: nm, typed: "", assumed: false });

type Opening = {
  readonly along: number;
  readonly off: number;
  readonly length: number;
  readonly width: number;
  readonly runThrough: boolean;
};
const openingOf = (given: Opening, index: number): FloorOpening => ({
  id: `o${index}`,
  kind: "stair",
  along: of(inches(given.along)),
  off: of(inches(given.off)),
  length: of(inches(given.length)),
  width: of(inches(given.width)),
  measuredAs: "framed",
  headers: "by-rule",
  runThrough: given.runThrough,
});

/** Rectangles and Ls, with openings apart from each other, things that carry them, and any layout. */
const arbitraryFloor: fc.Arbitrary<Floor> = fc
  .record({
    wide: fc.integer({ min: 90, max: 480 }),
    deep: fc.integer({ min: 90, max: 400 }),
    notch: fc.option(fc.record({ wide: fc.integer({ min: 20, max: 60 }), deep: fc.integer({ min: 20, max: 60 }) }), {
      nil: undefined,
    }),
    runs: fc.constantFrom("along" as const, "across" as const),
    first: fc.option(fc.integer({ min: 1, max: 64 }), { nil: undefined }),
    spacing: fc.constantFrom(12, 16, 19.2, 24),
    from: fc.constantFrom("start" as const, "end" as const),
    opening: fc.option(
      fc.record({
        along: fc.integer({ min: 20, max: 200 }),
        off: fc.integer({ min: 20, max: 200 }),
        length: fc.integer({ min: 14, max: 120 }),
        width: fc.integer({ min: 14, max: 120 }),
        runThrough: fc.boolean(),
      }),
      { nil: undefined },
    ),
    support: fc.option(
      fc.record({
        kind: fc.constantFrom<Support["kind"]>("wall", "beam", "flush-beam"),
        at: fc.integer({ min: 40, max: 240 }),
      }),
      { nil: undefined },
    ),
    over: fc.constantFrom("run-over", "in-line"),
    bears: fc.constantFrom("plate" as const, "ledger" as const, "hangers" as const, "flush-beam" as const),
    corner: fc.constantFrom("start-near", "start-far", "end-near", "end-far"),
  })
  .map((given): Floor => {
    const { wide, deep, notch } = given;
    const legs = notch
      ? [
          [wide, 90],
          [deep - notch.deep, 90],
          [notch.wide, -90],
          [notch.deep, 90],
          [wide - notch.wide, 90],
          [deep, 90],
        ]
      : [
          [wide, 90],
          [deep, 90],
          [wide, 90],
          [deep, 90],
        ];
    return {
      ...floorOf("imperial", {}),
      edges: legs.map(([inch = 0, turnDegrees = 90], index) => ({
        id: `e${index}`,
        length: of(inches(inch)),
        turnDegrees,
        bears: given.bears,
      })),
      runs: given.runs,
      firstJoist: given.first === undefined ? { valueNm: null, typed: "", assumed: false } : of(inches(given.first)),
      openings: given.opening ? [openingOf(given.opening, 1)] : [],
      supports: given.support ? [{ id: "s", kind: given.support.kind, at: of(inches(given.support.at)) }] : [],
      choices: {
        joistSpacing: inches(given.spacing),
        layoutFrom: given.from,
        overSupport: given.over,
        panelCorner: given.corner,
        panelTongue: 0,
        postSpacing: 0,
      },
    };
  });

const counted = (floor: Floor) => countPart(floor, "imperial", library);
const JOISTS = new Set(["joist", "edge-joist", "trimmer-joist", "tail-joist", "doubled-joist"]);
/** Headers where joists are cut for them; where they are left whole, headers come once they are cut. */
const rolesOf = ({ openings }: Floor) =>
  openings.some(({ runThrough }) => runThrough) ? JOISTS : new Set([...JOISTS, "floor-header"]);
type Box = { readonly a0: number; readonly a1: number; readonly c0: number; readonly c1: number };
/** Along the joists and across them. */
const boxes = (pieces: readonly Piece[], runs: Floor["runs"], which: ReadonlySet<string>): Box[] =>
  pieces
    .filter(isFraming)
    .filter(({ role }) => which.has(role))
    .map(({ xNm, yNm, widthNm, heightNm }) =>
      runs === "along"
        ? { a0: xNm, a1: xNm + widthNm, c0: yNm, c1: yNm + heightNm }
        : { a0: yNm, a1: yNm + heightNm, c0: xNm, c1: xNm + widthNm },
    );

/** Rounding of half a thickness, and of places. */
const SLACK_NM = 1000;

function overlapsNowhere(joists: readonly Box[]): void {
  const all = joists.toSorted((a, b) => a.c0 - b.c0);
  for (const [index, one] of all.entries())
    for (const other of all.slice(index + 1)) {
      if (other.c0 >= one.c1 - SLACK_NM) break;
      expect(one.a1 <= other.a0 + SLACK_NM || other.a1 <= one.a0 + SLACK_NM).toBe(true);
    }
}

describe("any floor", () => {
  it("has no two joists in the same place", () => {
    fc.assert(
      fc.property(arbitraryFloor, (floor) => {
        const { pieces, problems } = counted(floor);
        // One that goes past a step of the outline is told: how it is framed there is nobody's rule.
        if (problems.some(({ code }) => code === "opening-past-edge")) return;
        overlapsNowhere(boxes(pieces, floor.runs, rolesOf(floor)));
      }),
      { numRuns: 100 },
    );
  });

  it("has no two joists in the same place where they lap", () => {
    fc.assert(
      fc.property(arbitraryFloor, (given) => {
        const floor: Floor = { ...given, openings: [], choices: { ...given.choices, overSupport: "lapped" } };
        overlapsNowhere(boxes(counted(floor).pieces, floor.runs, JOISTS));
      }),
      { numRuns: 100 },
    );
  });

  it("has no gap wider than the spacing, but where an opening is", () => {
    fc.assert(
      fc.property(arbitraryFloor, (floor) => {
        const plain = { ...floor, openings: [] };
        const all = boxes(counted(plain).pieces, floor.runs, new Set(["joist", "edge-joist"]));
        const spacing = Number(floor.choices.joistSpacing);
        for (const one of all) {
          const middle = (one.a0 + one.a1) / 2;
          const beyond = all.filter(({ a0, a1, c0 }) => c0 >= one.c1 - SLACK_NM && a0 < middle && a1 > middle);
          if (beyond.length === 0) continue;
          // From face to face: the layout may fall on the near edges of both, and then nothing is taken off the spacing.
          expect(Math.min(...beyond.map(({ c0 }) => c0)) - one.c1).toBeLessThanOrEqual(spacing + SLACK_NM);
        }
      }),
      { numRuns: 100 },
    );
  });

  it("is covered by panels exactly: no more and no less than its area without its openings", () => {
    fc.assert(
      fc.property(arbitraryFloor, (floor) => {
        const { pieces } = counted(floor);
        const covered = pieces
          .filter(isSheet)
          .reduce(
            (sum, { points = [] }) => sum + Math.abs(areaOfRing(points.map(({ xNm, yNm }) => [xNm / 1e6, yNm / 1e6]))),
            0,
          );
        const { netArea = 0, grossArea = 0 } = floorKind.quantities(floor, ALONE);
        expect(covered / 1e6).toBeCloseTo(netArea, 3);
        expect(covered / 1e6).toBeLessThanOrEqual(grossArea + 1e-6);
      }),
      { numRuns: 100 },
    );
  });

  it("counts the same when the layout moves by a whole spacing", () => {
    fc.assert(
      fc.property(arbitraryFloor, fc.integer({ min: 1, max: 3 }), (floor, times) => {
        const spacing = Number(floor.choices.joistSpacing);
        const first = floor.firstJoist.valueNm ?? spacing;
        const at = (nm: number) =>
          counted({ ...floor, firstJoist: of(nm) }).lines.map(({ key, quantity }) => [key, quantity]);
        expect(at(first + times * spacing)).toEqual(at(first));
      }),
      { numRuns: 100 },
    );
  });

  it("counts the same in a mirror, with its start and its corner mirrored too", () => {
    fc.assert(
      fc.property(arbitraryFloor, (floor) => {
        if (floor.edges.length > 4) return;
        const [a, b] = floor.edges.map(({ length }) => length.valueNm ?? 0);
        const across = floor.runs === "across" ? (a ?? 0) : (b ?? 0);
        const flip = floor.runs === "across" ? ("along" as const) : ("off" as const);
        const size = floor.runs === "across" ? ("length" as const) : ("width" as const);
        const corner = String(floor.choices.panelCorner);
        const mirrored: Floor = {
          ...floor,
          openings: floor.openings.map((each) => ({
            ...each,
            [flip]: of(across - (each[flip].valueNm ?? 0) - (each[size].valueNm ?? 0)),
          })),
          choices: {
            ...floor.choices,
            layoutFrom: floor.choices.layoutFrom === "start" ? "end" : "start",
            panelCorner: corner.startsWith("start") ? corner.replace("start", "end") : corner.replace("end", "start"),
          },
        };
        if (floorKind.problems(mirrored, contexts.imperial).length > 0) return;
        const lines = (each: Floor) =>
          counted(each).lines.map(({ key, quantity }) => [key, Number(quantity.toFixed(4))]);
        expect(lines(mirrored)).toEqual(lines(floor));
      }),
      { numRuns: 100 },
    );
  });

  it("never throws, whatever its figures are", () => {
    const odd = fc.constantFrom(0, 1, millimetres(1), inches(1.5), inches(9), inches(500));
    fc.assert(
      fc.property(arbitraryFloor, odd, odd, odd, (floor, x, y, z) => {
        const opening = {
          ...openingOf({ along: 0, off: 0, length: 1, width: 1, runThrough: false }, 2),
          along: of(x),
          off: of(y),
          length: of(Math.max(1, z)),
        };
        const support = { id: "z", kind: "flush-beam" as const, at: of(z) };
        const all = {
          ...floor,
          openings: [...floor.openings, opening],
          supports: [...floor.supports, support],
          panelShift: of(x),
          rowShift: of(y),
          standing: of(Math.max(1, y)),
        };
        expect(() => counted(all)).not.toThrow();
        for (const piece of counted(all).pieces) expect(Number.isFinite(piece.widthNm) && piece.widthNm > 0).toBe(true);
      }),
      { numRuns: 100 },
    );
  });
});

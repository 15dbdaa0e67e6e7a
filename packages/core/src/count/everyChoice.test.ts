import { type AssemblyParameter, settlePart } from "../assemblies";
import { planJob, resolveStorey, resolveSurface } from "../house";
import {
  deckKind,
  flatRoofKind,
  floorKind,
  footingKind,
  masonryWallKind,
  measured,
  newRoofFeature,
  PART_KINDS,
  type Part,
  padKind,
  pierKind,
  type Roof,
  raftKind,
  rectangleDefaults,
  roofKind,
  type Scalar,
  slabKind,
  studWallKind,
  waterproofingKind,
} from "../kinds";
import type { PartKind } from "../parts/partKind";
import type { SlotParameter } from "../parts/slot";
import { footingOf, padOf, raftOf, ribOf, slabOf, waterproofingOf } from "../testing/ground";
import { deckOf, flatRoofOf, floorOf, floorOpeningOf, stairOf, supportOf } from "../testing/joists";
import { assemblyOf, contexts, library, openingOf, wallOf } from "../testing/library";
import { masonryOf, pierOf } from "../testing/masonry";
import { rectangle, roofOf } from "../testing/roofs";
import { entered } from "../testing/rooms";
import { feet, inches, type MeasuringSystem, metres, millimetres } from "../units";
import { countPart } from "./countPart";

type Choices = Readonly<Record<string, Scalar>>;

type Tried = Pick<AssemblyParameter, "kind" | "default">;

const BOOKS: Partial<
  Record<AssemblyParameter["kind"], Readonly<Record<string, { readonly system: MeasuringSystem }>>>
> = { section: library.sections, unit: library.units, sheet: library.sheets };

/** Values worth trying for a choice: all of a few, and some to either side of a figure. */
function valuesOf({ kind, default: usual }: Tried, among: readonly Scalar[] | undefined, system: MeasuringSystem) {
  if (among) return among;
  if (kind === "yes-no") return [true, false];
  const book = BOOKS[kind];
  if (book) return Object.keys(book).filter((id) => book[id]?.system === system);
  if (kind === "length") return [0, 0.25, 0.5, 2, 4, 8, 12, 24, 48, 72, 144].map((each) => inches(each));
  return [0, 1, 2, 3, 4, 6, Number(usual) * 1.5, Number(usual) / 2];
}

/** What a customer pays for, and what is said of it: no working, and no drawing. */
const whatIsCounted = (part: Part, system: MeasuringSystem) => {
  const { lines, scope } = countPart(part, system, library);
  return JSON.stringify([scope, lines.map((line) => [line.key, line.itemCode, line.quantity, line.cutLengthsNm])]);
};

type Given<P> = {
  readonly system: MeasuringSystem;
  readonly part: P;
  readonly assemblyIds: readonly string[];
  /** What else is chosen: a choice has to come to something with one of them. */
  readonly others: readonly Choices[];
};

/** Names of the choices whose every value comes to the same, whatever else is chosen. */
function withoutEffect<P extends Part>(kind: PartKind<P>, { system, part, assemblyIds, others }: Given<P>): string[] {
  const { slot } = kind;
  if (!slot) throw new Error(`withoutEffect: a ${kind.label} has no slot`);
  const reaches = (id: string, name: string, values: readonly Scalar[]) =>
    others.some((also) => {
      const built = slot.choose(slot.fill(part, { id, version: 1 }), also);
      const comesTo = values.map((value) => whatIsCounted(slot.choose(built, { ...also, [name]: value }), system));
      return new Set(comesTo).size > 1;
    });
  /** Whether it is asked for at all, where something else is chosen. */
  const asked = (id: string, also: Choices, applies: SlotParameter["applies"]) => {
    const built = slot.choose(slot.fill(part, { id, version: 1 }), also);
    return applies?.(slot.values(settlePart(built, system, library))) ?? true;
  };
  const ofSlot = slot.parameters.filter(({ name, kind: is, usual, among, stands, applies }) => {
    if (!assemblyIds.some((id) => others.some((also) => asked(id, also, applies)))) return false;
    const values = valuesOf({ kind: is, default: usual?.[system] ?? 1 }, among, system).filter(stands);
    return !assemblyIds.some((id) => reaches(id, name, values));
  });
  const known = new Set(slot.parameters.map((each) => each.name));
  const own = assemblyIds.flatMap((id) => {
    const { parameters } = assemblyOf(system, id);
    return parameters.flatMap((each) => {
      const among = each.choices?.map(({ value }) => value);
      return known.has(each.name) || reaches(id, each.name, valuesOf(each, among, system))
        ? []
        : [`${id}: ${each.name}`];
    });
  });
  return [...ofSlot.map((each) => each.name), ...own];
}

const window = openingOf("window", "w", {
  positionNm: feet(5),
  widthNm: feet(7),
  heightNm: feet(4),
  sillNm: feet(3),
});
const door = openingOf("door", "d", { positionNm: feet(16), widthNm: feet(3), heightNm: feet(6) });

describe("every choice there is reaches the count", () => {
  it("of a stud wall", () => {
    const openings = [window, door].map((each) => ({ ...each, measuredAs: "unit" as const }));
    const wall = wallOf("imperial", { lengthNm: feet(29), heightNm: feet(9), openings });
    const all = { bearing: true, sheathed: true, boardsNear: 1, insulated: true, membrane: true };
    const dead = withoutEffect(studWallKind, {
      system: "imperial",
      part: {
        ...wall,
        ends: { left: "corner-through", right: "free" },
        meetings: [{ positionNm: feet(23), thicknessNm: inches(4.5), withName: "Partition" }],
      },
      assemblyIds: ["inside-wall", "outside-wall", "partition", "party-wall"],
      others: [{}, all, { membrane: true, membraneWidth: feet(3) }],
    });
    expect(dead).toEqual([]);
  });

  const ofMasonry = (id: string) =>
    withoutEffect(masonryWallKind, {
      system: "metric",
      part: masonryOf("metric", { lengthNm: feet(40), heightNm: feet(8), openings: [window, door] }),
      assemblyIds: [id],
      others: [
        {},
        { joints: "own" },
        { bedJoint: millimetres(12) },
        { lintelsDisplace: false },
        { attachedPiers: 2 },
        // What a hollow unit can have in its cells, and what lies on the top.
        { unit: "block-440-215", barsEvery: millimetres(1200), bondBeams: 2, coping: true },
      ],
    });
  it.each(["brick-wall", "block-wall", "stone-wall", "cavity-wall", "brick-veneer"])("of masonry: %s", (id) => {
    expect(ofMasonry(id)).toEqual([]);
  });

  it("of a pier", () => {
    const dead = withoutEffect(pierKind, {
      system: "imperial",
      part: pierOf("imperial", [feet(2), feet(2), feet(6)]),
      assemblyIds: ["brick-pier"],
      others: [{}, { joints: "own" }],
    });
    expect(dead).toEqual([]);
  });

  it("of a roof", () => {
    const edges = [
      { lengthNm: feet(40), end: "eave" as const },
      { lengthNm: feet(14), end: "gable" as const },
      { lengthNm: feet(16), end: "eave" as const, turn: -90 },
      { lengthNm: feet(14), end: "eave" as const },
      { lengthNm: feet(24), end: "eave" as const },
      { lengthNm: feet(28), end: "eave" as const },
    ];
    const overhang = { overhangNm: inches(16), rakeNm: inches(20) };
    const dormered = (roof: Roof): Roof => {
      const features = (["gable-dormer", "roof-window", "chimney"] as const).flatMap((kind, index) => {
        const feature = newRoofFeature(roof, kind, ["a", "f", "e"][index] ?? "a", kind, "imperial");
        return feature ? [feature] : [];
      });
      return { ...roof, features };
    };
    const others: Choices[] = [
      {},
      { ceilingJoists: true },
      { collarEvery: 1 },
      { covering: "tiles" },
      { covering: "sheets" },
      { framedWith: "trusses" },
      { purlinRows: 1 },
      { panelsBy: "by-area" },
    ];
    const dead = withoutEffect(roofKind, {
      system: "imperial",
      part: dormered(roofOf("imperial", edges, { pitch: 0.5, ...overhang })),
      assemblyIds: ["rafter-roof"],
      others,
    });
    // What takes over past the longest timber comes to something where that is known (`roof/build/worked.test.ts`), and what is cut
    // off without hip or valley on another roof.
    expect(dead).toEqual(["engineeredSection", "rafter-roof: wasteStraight"]);
    const plain = withoutEffect(roofKind, {
      system: "imperial",
      part: roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), {
        pitch: 0.25,
        ...overhang,
      }),
      assemblyIds: ["rafter-roof"],
      others,
    });
    expect(plain).not.toContain("rafter-roof: wasteStraight");
  });

  const DUG: Choices[] = [
    {},
    { digBy: "hand" },
    { spoilBy: "lorry" },
    { spoilBy: "lorry", loadBy: "hand" },
    { backfillBy: "fill" },
    { concreteBy: "pumped" },
    { concreteBy: "site" },
    { concreteBy: "bags" },
    { formwork: "full" },
    { batter: 1 },
  ];
  const steel = {
    mainTop: 2,
    linkSpacing: millimetres(300),
    toeBars: 2,
    toeCrossSpacing: millimetres(300),
    meshLayers: 2,
  };
  // Whether a part is rounded up alone is nothing that its count says: what is ordered does (`order/roundsAlone.test.ts`).
  it.each(["metric", "imperial"] as const)("of a raft, %s", (system) => {
    const figures = {
      "edges.a.length": "9.2 m",
      "edges.b.length": "6.8 m",
      toeWidth: "200 mm",
      toeDepth: "150 mm",
      top: "200 mm",
    };
    const part = raftOf(system, figures, {
      edgeForm: "toe",
      toes: ["a"],
      ribs: [ribOf(system, "r", "along", "300 mm", "600 mm")],
    });
    const others = [
      ...DUG,
      steel,
      { ...steel, chairs: "continuous" },
      { meshBy: "by-area" },
      { blinding: millimetres(50) },
    ];
    expect(withoutEffect(raftKind, { system, part, assemblyIds: ["raft"], others })).toEqual(["rounding"]);
  });

  it("of a slab", () => {
    const part = slabOf("metric", { "edges.a.length": "9 m", "edges.b.length": "6 m", top: "200 mm" }, {}, true);
    const others = [
      ...DUG,
      steel,
      { ...steel, chairs: "continuous" },
      { meshBy: "by-area" },
      { insulation: millimetres(100) },
    ];
    expect(withoutEffect(slabKind, { system: "metric", part, assemblyIds: ["slab"], others })).toEqual(["rounding"]);
  });

  it("of a footing", () => {
    const part = footingOf("imperial", { "edges.a.length": "32'", "edges.b.length": "24'" }, { stem: true });
    const others = [...DUG, { fill: inches(4), blinding: inches(2) }, { crossSpacing: inches(12) }];
    expect(withoutEffect(footingKind, { system: "imperial", part, assemblyIds: ["footing"], others })).toEqual([
      "rounding",
    ]);
  });

  it("of pads", () => {
    const part = padOf("imperial", "pad", 3, { length: '30"', width: '30"', height: '24"', top: '6"' });
    const others = [
      ...DUG,
      { fill: inches(4), blinding: inches(2) },
      { padBarsEachWay: 4 },
      { pourApart: true, concreteBy: "bags" },
    ];
    expect(withoutEffect(padKind, { system: "imperial", part, assemblyIds: ["pad"], others })).toEqual(["rounding"]);
  });

  it.each(["imperial", "metric"] as const)("of a floor, %s", (system) => {
    const floor = floorOf(
      system,
      { "edges.a.length": "7.1 m", "edges.b.length": "9.4 m", standing: "2.7 m" },
      {
        openings: [
          floorOpeningOf(
            system,
            { along: "1.5 m", off: "1 m", length: "1 m", width: "2.8 m" },
            { measuredAs: "clear" },
          ),
          floorOpeningOf(system, { along: "4 m", off: "6 m", length: "2 m", width: "1 m" }, { id: "p" }),
        ],
        supports: [supportOf(system, "beam", "5 m")],
        bears: { c: "hangers" },
      },
    );
    const found = { supports: [], doubled: [{ name: "Wall", atNm: metres(2.9) }], short: [], apart: 0, missing: 0 };
    const others: Choices[] = [
      {},
      { overSupport: "lapped" },
      { edgesBear: "built-in" },
      { edgesBear: "built-in", strapSpacing: metres(2) },
      { blocking: "two" },
      { panelsBy: "by-area" },
      { labourBy: "area" },
      { closeJoists: "merge", joistSpacing: millimetres(390) },
    ];
    const part = { ...floor, found, firstJoist: measured(millimetres(70), "") };
    const dead = withoutEffect(floorKind, { system, part, assemblyIds: ["floor"], others });
    // What somebody looked up, and what panels are made for, are held beside the spans, and move no count.
    expect(dead).toEqual(["tableSpan", "panelSpan"]);
  });

  it.each(["imperial", "metric"] as const)("of a flat roof, %s", (system) => {
    const roof = flatRoofOf(
      system,
      {
        "edges.a.length": "7.1 m",
        "edges.b.length": "4.7 m",
        "edges.b.overhang": "0.33 m",
        "edges.c.overhang": "0.4 m",
        firstJoist: "70 mm",
      },
      { walls: ["a", "d"] },
    );
    const openings = [
      floorOpeningOf(
        system,
        { along: "1.5 m", off: "1 m", length: "1 m", width: "2.1 m" },
        { kind: "hatch", measuredAs: "clear" },
      ),
    ];
    const part = { ...roof, openings, kerbOn: ["b"] };
    const others: Choices[] = [
      {},
      { edgesBear: "hangers" },
      { edgesBear: "built-in" },
      { edgesBear: "ledger" },
      { panelsBy: "by-area" },
      { labourBy: "area" },
      { closeJoists: "merge", joistSpacing: millimetres(390), edgesBear: "hangers" },
      { vents: millimetres(900) },
    ];
    const dead = withoutEffect(flatRoofKind, { system, part, assemblyIds: ["flat-roof"], others });
    // The least height of firrings is on their pieces; they are ordered by their length, and the quote says the fall.
    expect(dead).toEqual(["leastFirring", "tableSpan", "panelSpan"]);
  });

  it.each(["imperial", "metric"] as const)("of a deck, %s", (system) => {
    const deck = deckOf(
      system,
      { "edges.a.length": "7.1 m", "edges.b.length": "4.7 m", rise: "1.3 m", firstJoist: "70 mm" },
      {
        stairs: [
          stairOf(system, { along: "1 m", width: "1.3 m" }),
          stairOf(system, { along: "4 m", width: "0.95 m", rise: "0.6 m" }, { id: "low" }),
        ],
        openings: [
          floorOpeningOf(
            system,
            { along: "1.5 m", off: "1 m", length: "1 m", width: "0.6 m" },
            { kind: "hatch", measuredAs: "clear" },
          ),
        ],
        supports: [supportOf(system, "beam", "2.9 m")],
      },
    );
    const others: Choices[] = [
      {},
      { edgesBear: "hangers" },
      { edgesBear: "built-in" },
      { overSupport: "lapped" },
      { blocking: "two" },
      { labourBy: "area" },
      { lastBoard: "opened" },
      { joistTape: true },
      { closeJoists: "merge", joistSpacing: millimetres(390) },
      { handrails: "both" },
    ];
    const dead = withoutEffect(deckKind, { system, part: deck, assemblyIds: ["deck"], others });
    // What is held beside the spans and the boards, and told, moves no count.
    expect(dead).toEqual(["tableSpan", "leastRip", "mostGap", "boardSpan"]);
  });

  it("of keeping water out", () => {
    const part = waterproofingOf("metric", { walls: 37, floor: 17 }, { wallHeight: "2.2 m" }, { outlets: 1 });
    const others: Choices[] = [
      {},
      { wallsBy: "slurry", floorBy: "slurry" },
      { wallMaterial: "allowance", floorMaterial: "allowance", wallsBy: "slurry", floorBy: "slurry" },
      { plugsBy: "area" },
    ];
    expect(
      withoutEffect(waterproofingKind, { system: "metric", part, assemblyIds: ["waterproofing"], others }),
    ).toEqual([]);
  });

  /** Names of parameters of an assembly that adds lines to a part whose every value comes to the same. */
  function withoutEffectOn(part: Part, id: string, system: MeasuringSystem): string[] {
    const applied = (choices: Choices): Part => ({
      ...part,
      uses: [{ id: "u", assembly: { id, version: 1 }, choices }],
    });
    return assemblyOf(system, id)
      .parameters.filter((each) => {
        const among = each.choices?.map(({ value }) => value);
        const comesTo = valuesOf(each, among, system).map((value) =>
          whatIsCounted(applied({ [each.name]: value }), system),
        );
        return new Set(comesTo).size < 2;
      })
      .map((each) => each.name);
  }

  const hall = entered(
    { ...rectangleDefaults("hall", "Hall", contexts.imperial) },
    { "runs.a.length": "16'", "runs.b.length": "12'", "ceiling.height": "9'" },
  );
  const den = {
    ...entered(rectangleDefaults("den", "Den", contexts.imperial), { "runs.a.length": "8'", "runs.b.length": "12'" }),
    place: { how: "joined" as const, toRoomId: "hall", toRunId: "b", runId: "d", offset: measured(0, "") },
  };
  const plan = planJob([hall, den]);
  const lining = wallOf("imperial", { lengthNm: feet(29), heightNm: feet(9), openings: [window] });
  const parts: Readonly<Record<string, Part>> = {
    room: hall,
    spots: { ...PART_KINDS.spots.defaults("s", "Doors", contexts.imperial), count: 7 },
    "stud-wall": lining,
    area: {
      ...PART_KINDS.area.defaults("a", "Deck", contexts.imperial),
      length: measured(feet(12), ""),
      width: measured(feet(9), ""),
    },
    length: { ...PART_KINDS.length.defaults("l", "Run", contexts.imperial), length: measured(feet(40), "") },
    surface: resolveSurface(
      { ...PART_KINDS.surface.defaults("f", "Wall", contexts.imperial), roomId: "hall", surfaceId: "wall/a" },
      plan,
    ),
    roof: roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 }),
    storey: resolveStorey(PART_KINDS.storey.defaults("g", hall.storey, contexts.imperial), plan),
  };
  const added = library.assemblies.filter((each) => each.slot === undefined && each.system === "imperial");
  it.each(added.map((each) => each.id))("of what is added to a part: %s", (id) => {
    const part = parts[assemblyOf("imperial", id).appliesTo];
    if (!part) throw new Error(`no part to try “${id}” on`);
    expect(withoutEffectOn(part, id, "imperial")).toEqual([]);
  });
});

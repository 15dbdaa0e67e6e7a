import { planJob, resolveStorey, resolveSurface } from "../plan";
import { describeKind } from "../testing/describeKind";
import { footingOf, padOf, raftOf, ribOf, slabOf, waterproofingOf } from "../testing/ground";
import { deckOf, flatRoofOf, floorOf, floorOpeningOf, spotOf, stairOf, supportOf } from "../testing/joists";
import { contexts, openingOf, wallOf } from "../testing/library";
import { masonryOf, pierOf } from "../testing/masonry";
import { rectangle, roofOf } from "../testing/roofs";
import { walkedRoom } from "../testing/rooms";
import { feet, inches, metres, millimetres } from "../units";
import type { Wall } from "../wall";
import { areaKind } from "./area";
import { deckKind } from "./deck";
import { flatRoofKind } from "./flat-roof";
import { floorKind } from "./floor";
import { footingKind } from "./footing";
import { lengthKind } from "./length";
import { masonryWallKind } from "./masonry-wall";
import { padKind } from "./pad";
import { pierKind } from "./pier";
import { raftKind } from "./raft";
import { roofKind } from "./roof";
import { type ListedTimber, type RoofTimbers, roofTimbersKind, withTimber } from "./roof-timbers";
import { roofTotalsKind } from "./roof-totals";
import { roomKind } from "./room";
import { slabKind } from "./slab";
import { spotsKind } from "./spots";
import { storeyKind } from "./storey";
import { studWallKind } from "./stud-wall";
import { surfaceKind } from "./surface";
import { wallTotalsKind } from "./wall-totals";
import { waterproofingKind } from "./waterproofing";

const measured = (valueNm: number) => ({ valueNm, typed: "", assumed: false });

/** A wall seen from its other side: what is left is right. */
function turned<W extends Wall>(wall: W): W {
  const lengthNm = wall.length.valueNm ?? 0;
  return {
    ...wall,
    ends: { left: wall.ends.right, right: wall.ends.left },
    openings: wall.openings.map((opening) => ({
      ...opening,
      position: measured(lengthNm - (opening.position.valueNm ?? 0) - (opening.width.valueNm ?? 0)),
    })),
  };
}
const thrice = <W extends Wall>(wall: W): W => ({ ...wall, repeats: 3 });
const window = (positionNm: number, widthNm: number, sillNm: number, heightNm: number) =>
  openingOf("window", "w", { positionNm, widthNm, sillNm, heightNm });

describeKind(studWallKind, [
  {
    system: "imperial",
    part: wallOf("imperial", {
      lengthNm: feet(16),
      heightNm: inches(97.125),
      bearing: true,
      sheathed: true,
      openings: [window(feet(3), feet(3), inches(34), feet(4))],
    }),
    mirrored: (wall) => ({
      ...turned(wall),
      choices: { ...wall.choices, layoutFrom: "right" as const },
    }),
    thrice,
  },
]);

const cavity = masonryOf("metric", {
  lengthNm: metres(6.3),
  heightNm: metres(2.4),
  assemblyId: "cavity-wall",
  openings: [window(metres(1), metres(1.2), millimetres(900), millimetres(1050))],
});
describeKind(masonryWallKind, [
  {
    system: "metric",
    part: cavity,
    mirrored: (wall) => ({ ...turned(wall), choices: { ...wall.choices, layFrom: "right" } }),
    thrice,
  },
  {
    system: "imperial",
    part: masonryOf("imperial", {
      lengthNm: feet(20),
      heightNm: feet(8),
      assemblyId: "block-wall",
      openings: [window(feet(4), feet(4), feet(2), feet(4))],
      choices: { reinforceEvery: 2 },
    }),
    thrice,
  },
  {
    system: "metric",
    part: masonryOf("metric", { lengthNm: metres(4.2), heightNm: metres(1.9), assemblyId: "stone-wall" }),
    thrice,
  },
]);

describeKind(pierKind, [
  {
    system: "imperial",
    part: pierOf("imperial", [inches(32), inches(32), feet(6)], { hollow: true }),
    thrice: (pier) => ({ ...pier, count: 3 }),
  },
]);

const hall = walkedRoom([["16'"], ["12'"], ["16'"], ["12'"]]);
const plan = planJob([hall]);
describeKind(storeyKind, [
  {
    system: "imperial",
    part: { ...storeyKind.defaults("g", hall.storey, contexts.imperial), outsideAcross: measured(feet(17)) },
    onPlan: (storey) => resolveStorey(storey, plan),
  },
]);
describeKind(surfaceKind, [
  {
    system: "imperial",
    part: { ...surfaceKind.defaults("f", "Wall", contexts.imperial), roomId: hall.id, surfaceId: "wall/a" },
    onPlan: (surface) => resolveSurface(surface, plan),
  },
]);

describeKind(roomKind, [{ system: "imperial", part: walkedRoom([["12'"], ["10'"], ["12'"], ["10'"]]) }]);

const { metric } = contexts;
describeKind(lengthKind, [
  { system: "metric", part: { ...lengthKind.defaults("l", "Rail", metric), length: measured(metres(4)) } },
]);
describeKind(areaKind, [
  {
    system: "metric",
    part: { ...areaKind.defaults("a", "Deck", metric), length: measured(metres(4)), width: measured(metres(3)) },
  },
]);
describeKind(spotsKind, [{ system: "metric", part: { ...spotsKind.defaults("s", "Posts", metric), count: 4 } }]);
describeKind(wallTotalsKind, [
  {
    system: "imperial",
    part: {
      ...wallTotalsKind.defaults("t", "Walls", contexts.imperial),
      length: measured(feet(120)),
      openings: 4,
      corners: 4,
    },
  },
]);

/** Hipped at one end, gabled at the other: its mirror image has them the other way round. */
describeKind(roofKind, [
  {
    system: "imperial",
    part: roofOf("imperial", rectangle(feet(38), feet(26), ["eave", "eave", "eave", "gable"]), {
      pitch: 7 / 12,
      overhangNm: inches(14),
      rakeNm: inches(10),
    }),
    mirrored: (roof) => {
      const [front, right, back, left] = roof.edges;
      const edges = front && right && back && left ? [front, left, back, right] : roof.edges;
      return { ...roof, edges, choices: { ...roof.choices, layoutFrom: "end" as const } };
    },
  },
  {
    system: "metric",
    part: roofOf("metric", rectangle(metres(8), metres(3), ["eave", "gable", "wall", "gable"]), {
      pitch: 0.25,
      overhangNm: millimetres(400),
    }),
  },
]);

describeKind(roofTotalsKind, [
  {
    system: "imperial",
    part: {
      ...roofTotalsKind.defaults("t", "Roof", contexts.imperial),
      area: { value: 120.88, typed: "", assumed: false },
      pitch: { value: 7 / 12, typed: "", assumed: false },
      eaves: measured(feet(76)),
      rakes: measured(feet(66)),
      ridges: measured(feet(39)),
    },
  },
]);

const timbers: RoofTimbers = {
  ...roofTimbersKind.defaults("l", "Timbers", contexts.imperial),
  pitch: { value: 0.5, typed: "", assumed: false },
};
function listed(list: RoofTimbers, role: ListedTimber): RoofTimbers {
  const { rows, ...rest } = withTimber(list, role, role);
  return { ...rest, rows: rows.map((row) => ({ ...row, plan: measured(feet(12)), count: 4 })) };
}
describeKind(roofTimbersKind, [
  {
    system: "imperial",
    part: listed(listed(timbers, "common-rafter"), "hip-rafter"),
  },
]);

describeKind(floorKind, [
  {
    system: "imperial",
    part: floorOf(
      "imperial",
      { "edges.a.length": "24'", "edges.b.length": "20'", standing: "9'" },
      {
        openings: [floorOpeningOf("imperial", { along: "5'", off: "2'", length: "9'", width: "3'4" })],
        supports: [supportOf("imperial", "beam", "10'")],
        doubled: [{ id: "d", at: measured(feet(18)) }],
        bears: { c: "ledger" },
        choices: { overSupport: "in-line" },
      },
    ),
    mirrored: (floor) => ({
      ...floor,
      openings: floor.openings.map((each) => ({ ...each, along: measured(feet(24 - 5 - 9)) })),
      doubled: [{ id: "d", at: measured(feet(6)) }],
      choices: { ...floor.choices, layoutFrom: "end", panelCorner: "end-near" },
    }),
  },
  {
    system: "metric",
    part: floorOf(
      "metric",
      { "edges.a.length": "4.8 m", "edges.b.length": "3.6 m" },
      { choices: { blockKind: "struts" } },
    ),
  },
]);

describeKind(flatRoofKind, [
  {
    system: "metric",
    part: flatRoofOf(
      "metric",
      {
        "edges.a.length": "5.1 m",
        "edges.b.length": "4.2 m",
        "edges.b.overhang": "0.3 m",
        "edges.c.overhang": "0.3 m",
        drip: "9 m",
      },
      { walls: ["a", "d"], choices: { edgesBear: "hangers" } },
    ),
    mirrored: (roof) => {
      const [a, b, c, d] = roof.edges;
      if (!a || !b || !c || !d) return roof;
      return {
        ...roof,
        edges: [a, { ...d, id: "b" }, c, { ...b, id: "d" }],
        choices: { ...roof.choices, layoutFrom: "end", panelCorner: "end-near" },
      };
    },
  },
]);

describeKind(deckKind, [
  {
    system: "imperial",
    part: deckOf(
      "imperial",
      { "edges.a.length": "16'", "edges.b.length": "8'", rise: "3'" },
      {
        stairs: [stairOf("imperial", { along: "2'", width: "4'", rise: "2'8" })],
        spots: [spotOf("imperial", "hold-down", ["1'", "1'"])],
      },
    ),
    mirrored: (deck) => ({
      ...deck,
      stairs: deck.stairs.map((each) => ({ ...each, along: measured(feet(16 - 2 - 4)) })),
      spots: deck.spots.map((each) => ({ ...each, along: measured(feet(15)) })),
      choices: { ...deck.choices, layoutFrom: "end" },
    }),
  },
  {
    system: "metric",
    part: deckOf(
      "metric",
      { "edges.a.length": "4.8 m", "edges.b.length": "3.2 m", rise: "1 m" },
      { choices: { lastBoard: "opened", frameBoards: 2 } },
    ),
  },
]);

describeKind(raftKind, [
  {
    system: "metric",
    part: raftOf(
      "metric",
      { "edges.a.length": "7.2 m", "edges.b.length": "4.8 m", toeWidth: "200 mm", toeDepth: "150 mm" },
      {
        edgeForm: "toe",
        toes: ["a"],
        ribs: [
          ribOf("metric", "p", "along", "300 mm", "450 mm", "2 m"),
          ribOf("metric", "q", "across", "300 mm", "600 mm"),
        ],
      },
    ),
  },
]);
describeKind(slabKind, [
  {
    system: "imperial",
    part: slabOf(
      "imperial",
      { "edges.a.length": "32'", "edges.b.length": "24'" },
      { choices: { meshLayers: 2 } },
      true,
    ),
  },
]);
describeKind(footingKind, [
  {
    system: "imperial",
    part: footingOf(
      "imperial",
      { "edges.a.length": "32'", "edges.b.length": "24'" },
      {
        inner: [{ id: "i", runs: "across", at: measured(feet(12)) }],
        steps: [{ id: "s", edgeId: "a", from: measured(feet(10)), to: measured(feet(20)), drop: measured(inches(8)) }],
      },
    ),
  },
]);
describeKind(padKind, [
  {
    system: "metric",
    part: padOf("metric", "pad", 1, { length: "600 mm", width: "600 mm", height: "300 mm" }, { padBarsEachWay: 4 }),
    thrice: (pad) => ({ ...pad, count: 3 }),
  },
  { system: "imperial", part: padOf("imperial", "tube", 8, { diameter: '12"', height: '42"' }) },
]);
describeKind(waterproofingKind, [
  {
    system: "metric",
    brokenOff: ["wallHeight"],
    part: waterproofingOf(
      "metric",
      { walls: 37, floor: 17 },
      { wallHeight: "2.2 m", channelLength: "17 m" },
      { sumps: 1, pumps: 1 },
    ),
  },
]);

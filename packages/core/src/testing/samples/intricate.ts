import { newRoofFeature, type Roof, type RoofFeatureKind, roofKind } from "../../kinds";
import { deckKind } from "../../kinds/deck";
import { flatRoofKind } from "../../kinds/flat-roof";
import { floorKind } from "../../kinds/floor";
import { footingKind } from "../../kinds/footing";
import { masonryWallKind } from "../../kinds/masonry-wall";
import { padKind } from "../../kinds/pad";
import { raftKind } from "../../kinds/raft";
import { roomKind } from "../../kinds/room";
import { slabKind } from "../../kinds/slab";
import { studWallKind } from "../../kinds/stud-wall";
import { waterproofingKind } from "../../kinds/waterproofing";
import { feet, inches, metres, millimetres } from "../../units";
import { footingOf, padOf, raftOf, ribOf, slabOf, waterproofingOf } from "../ground";
import { deckOf, flatRoofOf, floorOf, floorOpeningOf, spotOf, stairOf, supportOf } from "../joists";
import { openingOf, wallOf } from "../library";
import { masonryOf } from "../masonry";
import { rectangle, roofOf, type TestEdge } from "../roofs";
import { walkedRoom } from "../rooms";
import { measured } from "./said";
import { sampled } from "./sampled";

const door = openingOf("door", "d", { positionNm: feet(16), widthNm: feet(3), heightNm: feet(6) });
const window = openingOf("window", "w", {
  positionNm: feet(5),
  widthNm: feet(7),
  heightNm: feet(4),
  sillNm: feet(3),
});
const openings = [window, { ...door, measuredAs: "unit" as const }];

const EL: readonly TestEdge[] = [
  { lengthNm: feet(40), end: "eave" },
  { lengthNm: feet(14), end: "gable" },
  { lengthNm: feet(16), end: "eave", turn: -90 },
  { lengthNm: feet(14), end: "eave" },
  { lengthNm: feet(24), end: "eave" },
  { lengthNm: feet(28), end: "eave" },
];

/** A roof with things standing on it, each on the edge that is named beside it. */
const withFeatures = (roof: Roof, features: Readonly<Partial<Record<RoofFeatureKind, string>>>): Roof => ({
  ...roof,
  features: Object.entries(features).flatMap(([kind, edge]) => {
    const feature = newRoofFeature(roof, kind as RoofFeatureKind, edge, kind, "imperial");
    return feature ? [feature] : [];
  }),
});

const hung = { overhangNm: inches(16), rakeNm: inches(20) };
const dormered = withFeatures(roofOf("imperial", EL, { pitch: 0.5, ...hung }), {
  "gable-dormer": "a",
  "roof-window": "f",
  chimney: "e",
});
const gabled = rectangle(feet(44), feet(26), ["eave", "gable", "eave", "gable"]);
const shedded = withFeatures(
  roofOf("imperial", gabled, { pitch: 0.75, ...hung, choices: { ceilingJoists: true, collarEvery: 2 } }),
  { "shed-dormer": "a", notch: "c", "carried-eave": "c" },
);
const twoPitches = roofOf(
  "metric",
  rectangle(metres(11), metres(7.4), ["eave", "eave", "eave", "eave"]).map((edge, index) => ({
    ...edge,
    pitch: index % 2 === 0 ? 0.7 : 0.9,
  })),
  { pitch: 0.7, overhangNm: millimetres(450), choices: { covering: "tiles", purlinRows: 1 } },
);

const studs = {
  ...wallOf("imperial", {
    lengthNm: feet(29),
    heightNm: feet(9),
    openings,
    bearing: true,
    sheathed: true,
    assemblyId: "outside-wall",
  }),
  ends: { left: "corner-through" as const, right: "free" as const },
  meetings: [{ positionNm: feet(23), thicknessNm: inches(4.5), withName: "Partition" }],
};

/** Of the kinds that are laid out, what has most in it: where one thing meets another. Measured, some of it told as a problem. */
export const intricate = [
  sampled(studWallKind, [
    { system: "imperial", part: studs },
    {
      system: "metric",
      part: wallOf("metric", {
        lengthNm: metres(7.3),
        heightNm: metres(2.7),
        spacingNm: millimetres(600),
        openings: [window],
        choices: { boardsNear: 2, insulated: true, membrane: true },
      }),
    },
  ]),
  sampled(
    masonryWallKind,
    (["brick-wall", "block-wall", "brick-veneer", "cavity-wall"] as const).map((assemblyId) => ({
      system: "imperial",
      part: masonryOf("imperial", {
        lengthNm: feet(33),
        heightNm: feet(8),
        openings: [window, door],
        assemblyId,
        choices: { attachedPiers: 2 },
      }),
    })),
  ),
  sampled(roofKind, [
    { system: "imperial", part: dormered },
    { system: "imperial", part: shedded },
    { system: "metric", part: twoPitches },
    {
      system: "imperial",
      part: roofOf("imperial", gabled, { pitch: 0.4, ...hung, choices: { framedWith: "trusses", covering: "sheets" } }),
    },
  ]),
  sampled(floorKind, [
    {
      system: "metric",
      part: floorOf(
        "metric",
        { "edges.a.length": "7.1 m", "edges.b.length": "9.4 m", standing: "2.7 m", firstJoist: "70 mm" },
        {
          openings: [
            floorOpeningOf(
              "metric",
              { along: "1.5 m", off: "1 m", length: "1 m", width: "2.8 m" },
              { measuredAs: "clear" },
            ),
            floorOpeningOf("metric", { along: "4 m", off: "6 m", length: "2 m", width: "1 m" }, { id: "p" }),
          ],
          supports: [supportOf("metric", "beam", "5 m")],
          doubled: [{ id: "d", at: measured(metres(3)) }],
          choices: { overSupport: "lapped", blocking: "two" },
        },
      ),
    },
  ]),
  sampled(flatRoofKind, [
    {
      system: "imperial",
      part: {
        ...flatRoofOf(
          "imperial",
          { "edges.a.length": "23'", "edges.b.length": "15'", "edges.b.overhang": "1'", "edges.c.overhang": "1'4" },
          { walls: ["a", "d"] },
        ),
        openings: [
          floorOpeningOf("imperial", { along: "5'", off: "3'", length: "3'", width: "4'" }, { kind: "hatch" }),
        ],
        kerbOn: ["b"],
      },
    },
  ]),
  sampled(deckKind, [
    {
      system: "imperial",
      part: deckOf(
        "imperial",
        { "edges.a.length": "23'4", "edges.b.length": "15'5", rise: "4'3" },
        {
          stairs: [
            stairOf("imperial", { along: "3'", width: "4'" }),
            stairOf("imperial", { along: "13'", width: "3'", rise: "2'" }, { id: "low" }),
          ],
          spots: [spotOf("imperial", "hold-down", ["1'", "1'"])],
          supports: [supportOf("imperial", "beam", "9'6")],
          choices: { overSupport: "lapped", joistTape: true, handrails: "both" },
        },
      ),
    },
  ]),
  sampled(raftKind, [
    {
      system: "imperial",
      part: raftOf(
        "imperial",
        { "edges.a.length": "30'", "edges.b.length": "22'", toeWidth: '8"', toeDepth: '6"', top: '8"' },
        {
          edgeForm: "toe",
          toes: ["a", "b"],
          ribs: [ribOf("imperial", "r", "along", '12"', '24"')],
          choices: { mainTop: 2, meshLayers: 2, blinding: inches(2) },
        },
      ),
    },
  ]),
  sampled(slabKind, [
    {
      system: "metric",
      part: slabOf(
        "metric",
        { "edges.a.length": "9 m", "edges.b.length": "6 m", top: "200 mm" },
        {
          choices: { insulation: millimetres(100), meshBy: "by-area" },
        },
      ),
    },
  ]),
  sampled(footingKind, [
    {
      system: "metric",
      part: footingOf(
        "metric",
        { "edges.a.length": "9.6 m", "edges.b.length": "7.2 m" },
        {
          stem: true,
          inner: [{ id: "i", runs: "along", at: measured(metres(3)) }],
          steps: [
            {
              id: "s",
              edgeId: "b",
              from: measured(metres(2)),
              to: measured(metres(5)),
              drop: measured(millimetres(300)),
            },
          ],
          choices: { fill: millimetres(100), crossSpacing: millimetres(300) },
        },
      ),
    },
  ]),
  sampled(padKind, [
    {
      system: "imperial",
      part: padOf(
        "imperial",
        "pad",
        3,
        { length: '30"', width: '30"', height: '24"', top: '6"' },
        { concreteBy: "bags", pourApart: true },
      ),
    },
  ]),
  sampled(waterproofingKind, [
    {
      system: "imperial",
      part: waterproofingOf(
        "imperial",
        { walls: 37, floor: 17 },
        { wallHeight: "7'2" },
        { outlets: 1, choices: { wallsBy: "slurry", floorBy: "slurry" } },
      ),
    },
  ]),
  sampled(roomKind, [
    {
      system: "imperial",
      part: walkedRoom([["14'2"], ["12'11"], ["6'", -90], ["1'3", 90], ["8'2", -90], ["11'8", -90]]),
    },
  ]),
];

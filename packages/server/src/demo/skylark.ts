import { feet, inches, measured, type Part, type PartContext, type RoofFeature, storeyKind } from "@wide-porch/core";
import { type DemoRoof, demoRoof } from "./roofs";

/** The main roof runs up at 9 in 12, its wing at 7: the hip and the valley between them lie off 45 degrees. */
const MAIN_ROOF: DemoRoof = {
  name: "Main roof",
  storey: "Upper",
  location: "Loft bedroom",
  edges: [
    { id: "front", length: "34'6", end: "eave" },
    { id: "east", length: "17'", end: "gable" },
    { id: "inside", length: "15'", end: "eave", turn: -90 },
    { id: "wing-east", length: "11'6", end: "eave", pitch: "7/12" },
    { id: "wing-end", length: "19'6", end: "gable" },
    { id: "west", length: "28'6", end: "eave", pitch: "7/12" },
  ],
  pitch: "9/12",
  overhang: "14",
  rakeOverhang: "10",
  plate: "8'1 1/8",
  at: { x: "0", y: "0", turnDegrees: 0 },
  choices: {
    rafterSection: "2x10",
    rafterSpacing: 406_400_000,
    ridgeSection: "2x12",
    hipSection: "2x12",
    collarEvery: 2,
    gableStuds: true,
  },
};

const length = (valueNm: number) => measured(valueNm, "");
const NONE = { valueNm: null, typed: "", assumed: false };
const pitch = (value: number) => ({ value, typed: "", assumed: false });

/** Two dormers to the front, a roof window to the yard. */
const FEATURES: readonly RoofFeature[] = [
  {
    id: "dormer-1",
    kind: "gable-dormer",
    name: "Bedroom dormer",
    edgeId: "front",
    along: length(feet(14)),
    width: length(feet(5)),
    back: length(inches(18)),
    depth: NONE,
    wallHeight: length(inches(40)),
    pitch: pitch(0.75),
  },
  {
    id: "dormer-2",
    kind: "shed-dormer",
    name: "Stair dormer",
    edgeId: "front",
    along: length(feet(22)),
    width: length(feet(6)),
    back: length(inches(18)),
    depth: NONE,
    wallHeight: length(inches(36)),
    pitch: pitch(0.25),
  },
  {
    id: "window-1",
    kind: "roof-window",
    name: "Yard window",
    edgeId: "inside",
    along: length(feet(5)),
    width: length(inches(30)),
    back: length(inches(40)),
    depth: length(inches(46)),
    wallHeight: NONE,
    pitch: { value: null, typed: "", assumed: false },
  },
];

/** Over the new outside stair: it runs on into the front slope, where the dormers leave room. */
const STAIR_ROOF: DemoRoof = {
  name: "Stair roof",
  storey: "Upper",
  location: "Outside stair",
  edges: [
    { id: "house", length: "8'", end: "roof" },
    { id: "left", length: "5'6", end: "eave" },
    { id: "front", length: "8'", end: "gable" },
    { id: "right", length: "5'6", end: "eave" },
  ],
  pitch: "9/12",
  overhang: "14",
  rakeOverhang: "10",
  plate: "8'1 1/8",
  at: { x: "3'", y: "0", turnDegrees: 0 },
  choices: { rafterSection: "2x6", rafterSpacing: 406_400_000, ridgeSection: "2x8", gableStuds: true },
};

/** Skylark, invented: an attic under an L-shaped roof that becomes a bedroom, and a stair up to it from the yard. */
export function skylark(newId: () => string, context: PartContext): Part[] {
  // The loft is lived in: insulated between its rafters, and boarded below them.
  const lining = { id: newId(), assembly: { id: "slope-lining", version: 1 }, choices: {} };
  const main = { ...demoRoof(MAIN_ROOF, newId, context), features: [...FEATURES], uses: [lining] };
  const along = length(feet(3));
  const beside = { roofId: main.id, theirEdgeId: "front", ownEdgeId: "house", along };
  return [
    { ...storeyKind.defaults(newId(), "Upper", context), level: 1 },
    main,
    { ...demoRoof(STAIR_ROOF, newId, context), beside },
  ];
}

import { footingKind } from "../../kinds/footing";
import { padKind } from "../../kinds/pad";
import { raftKind } from "../../kinds/raft";
import { slabKind } from "../../kinds/slab";
import { waterproofingKind } from "../../kinds/waterproofing";
import { feet, inches } from "../../units";
import { footingOf, padOf, raftOf, ribOf, slabOf, waterproofingOf } from "../ground";
import { measured } from "./said";
import { sampled } from "./sampled";

/** What lies in the ground, and what keeps water out of it. */
export const ground = [
  sampled(raftKind, [
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
  ]),
  sampled(slabKind, [
    {
      system: "imperial",
      part: slabOf(
        "imperial",
        { "edges.a.length": "32'", "edges.b.length": "24'" },
        { choices: { meshLayers: 2 } },
        true,
      ),
    },
  ]),
  sampled(footingKind, [
    {
      system: "imperial",
      part: footingOf(
        "imperial",
        { "edges.a.length": "32'", "edges.b.length": "24'" },
        {
          inner: [{ id: "i", runs: "across", at: measured(feet(12)) }],
          steps: [
            { id: "s", edgeId: "a", from: measured(feet(10)), to: measured(feet(20)), drop: measured(inches(8)) },
          ],
        },
      ),
    },
  ]),
  sampled(padKind, [
    {
      system: "metric",
      part: padOf("metric", "pad", 1, { length: "600 mm", width: "600 mm", height: "300 mm" }, { padBarsEachWay: 4 }),
      thrice: (pad) => ({ ...pad, count: 3 }),
    },
    { system: "imperial", part: padOf("imperial", "tube", 8, { diameter: '12"', height: '42"' }) },
  ]),
  sampled(waterproofingKind, [
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
  ]),
];

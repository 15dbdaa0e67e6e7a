import { areaKind } from "../../kinds/area";
import { lengthKind } from "../../kinds/length";
import { spotsKind } from "../../kinds/spots";
import { wallTotalsKind } from "../../kinds/wall-totals";
import { feet, metres } from "../../units";
import { contexts } from "../library";
import { measured } from "./said";
import { sampled } from "./sampled";

const { metric } = contexts;

/** What is measured without a plan: lengths, areas, spots, walls by totals. */
export const loose = [
  sampled(lengthKind, [
    { system: "metric", part: { ...lengthKind.defaults("l", "Rail", metric), length: measured(metres(4)) } },
  ]),
  sampled(areaKind, [
    {
      system: "metric",
      part: { ...areaKind.defaults("a", "Deck", metric), length: measured(metres(4)), width: measured(metres(3)) },
    },
  ]),
  sampled(spotsKind, [{ system: "metric", part: { ...spotsKind.defaults("s", "Posts", metric), count: 4 } }]),
  sampled(wallTotalsKind, [
    {
      system: "imperial",
      part: {
        ...wallTotalsKind.defaults("t", "Walls", contexts.imperial),
        length: measured(feet(120)),
        openings: 4,
        corners: 4,
      },
    },
  ]),
];

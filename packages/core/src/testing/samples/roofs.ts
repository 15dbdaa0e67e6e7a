import { roofKind } from "../../kinds/roof";
import { type ListedTimber, type RoofTimbers, roofTimbersKind, withTimber } from "../../kinds/roof-timbers";
import { roofTotalsKind } from "../../kinds/roof-totals";
import { feet, inches, metres, millimetres } from "../../units";
import { contexts } from "../library";
import { rectangle, roofOf } from "../roofs";
import { measured } from "./said";
import { sampled } from "./sampled";

/** Hipped at one end, gabled at the other: its mirror image has them the other way round. */
const timbers: RoofTimbers = {
  ...roofTimbersKind.defaults("l", "Timbers", contexts.imperial),
  pitch: { value: 0.5, typed: "", assumed: false },
};
function listed(list: RoofTimbers, role: ListedTimber): RoofTimbers {
  const { rows, ...rest } = withTimber(list, role, role);
  return { ...rest, rows: rows.map((row) => ({ ...row, plan: measured(feet(12)), count: 4 })) };
}

/** Roofs drawn, by totals, and by their timbers. */
export const roofs = [
  sampled(roofKind, [
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
  ]),
  sampled(roofTotalsKind, [
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
  ]),
  sampled(roofTimbersKind, [
    {
      system: "imperial",
      part: listed(listed(timbers, "common-rafter"), "hip-rafter"),
    },
  ]),
];

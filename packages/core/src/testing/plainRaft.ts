import { countPart } from "../count/countPart";
import { library } from "./library";

/** 7.2 × 4.8 m, slab 200 mm, beams 450 × 600 mm. */
export const PLAIN = {
  "edges.a.length": "7.2 m",
  "edges.b.length": "4.8 m",
  thickness: "200 mm",
  beamWidth: "450 mm",
  beamDepth: "600 mm",
};
/** Figures for what is not under test: nothing but concrete and steel. */
export const BARE = { fill: 0, blinding: 0, membrane: false, meshLayers: 0, workingSpace: 0 };

/** A part counted: what each rule came to, what is told, what is placed, what is said. */
export const counted = (raft: Parameters<typeof countPart>[0], system: "metric" | "imperial" = "metric") => {
  const { lines, problems, pieces, scope } = countPart(raft, system, library);
  const of = (rule: string) => lines.find((line) => line.rule === rule)?.quantity ?? 0;
  return { of, problems, pieces, scope, lines };
};

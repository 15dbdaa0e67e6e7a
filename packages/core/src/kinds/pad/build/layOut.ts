import type { Assembly } from "../../../assemblies";
import type { BarPiece } from "../../../drawing/piece";
import { perimeterNm } from "../../../geometry";
import { barSize } from "../../../ground";
import { type GroundChoices, groundChoicesOf } from "../../../ground/choices";
import type { Layout, Site } from "../../../layouts";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength, inches, type MeasuringSystem, type Nanometres } from "../../../units";
import { levelBar, uprightBar } from "../../raft/build/barPiece";
import { type Face, laidInGround } from "../../raft/build/ground";
import { manyWords } from "../../raft/build/layOut";
import { padSection } from "../index";
import type { Pad } from "../schema";
import { padLevels, padPrisms, padRing } from "../shape";

/** The two sides of what holds its bars: those of a pad, or of the square within a tube. */
const sidesOf = (pad: Pad): readonly [Nanometres, Nanometres] => {
  const acrossNm = Math.round((pad.diameter.valueNm ?? 0) / Math.SQRT2);
  return pad.form === "tube" ? [acrossNm, acrossNm] : [pad.length.valueNm ?? 0, pad.width.valueNm ?? 0];
};

/** Bars each way at the bottom, and uprights on a circle within the cover. */
function padBars(pad: Pad, choices: GroundChoices): BarPiece[] {
  const { cover, padBarsEachWay, uprights, padBar } = choices;
  const { topNm, bottomNm } = padLevels(pad, choices);
  const [longNm, wideNm] = sidesOf(pad).map((nm) => nm - 2 * cover);
  if (longNm === undefined || wideNm === undefined || Math.min(longNm, wideNm) <= 0) return [];
  const { diameterNm } = barSize(padBar);
  const way = (id: string, lengthNm: Nanometres, spreadNm: Nanometres, along: boolean): BarPiece[] =>
    Array.from({ length: padBarsEachWay }, (_, index) => {
      const offNm = padBarsEachWay === 1 ? 0 : (spreadNm * index) / (padBarsEachWay - 1) - spreadNm / 2;
      const from = along ? { xNm: -lengthNm / 2, yNm: offNm } : { xNm: offNm, yNm: -lengthNm / 2 };
      const bar = { id: `${id}-${index + 1}`, role: "pad-bar", itemId: padBar, of: "Pad" };
      const heightNm = bottomNm + cover + (along ? 0.5 : 1.5) * diameterNm;
      const straight = { ...bar, shape: "00" as const, cutLengthNm: lengthNm, legsNm: [lengthNm] };
      return levelBar(straight, from, along ? { x: 1, y: 0 } : { x: 0, y: 1 }, lengthNm, heightNm);
    });
  const highNm = topNm - bottomNm - 2 * cover;
  const radiusNm = uprights === 1 ? 0 : Math.min(longNm, wideNm) / 2;
  const stand = Array.from({ length: highNm > 0 ? uprights : 0 }, (_, index) => {
    const turn = (2 * Math.PI * index) / Math.max(1, uprights);
    const at = { xNm: radiusNm * Math.cos(turn), yNm: radiusNm * Math.sin(turn) };
    const bar = { id: `upright-${index + 1}`, role: "pad-upright", itemId: padBar, of: "Pad" };
    return uprightBar({ ...bar, shape: "00", cutLengthNm: highNm, legsNm: [highNm] }, at, bottomNm + cover, highNm);
  });
  return [...way("along", longNm, wideNm, true), ...way("across", wideNm, longNm, false), ...stand];
}

/** The side of a pad that is boarded; a tube is its own form. */
function padFaces(pad: Pad, choices: GroundChoices): Face[] {
  if (pad.form === "tube" || choices.formwork === "none") return [];
  const { topNm, bottomNm } = padLevels(pad, choices);
  const fromNm = choices.formwork === "full" ? bottomNm : Math.max(0, bottomNm);
  const ring = padRing(pad, 0);
  return topNm > fromNm ? [{ id: "formwork", ring, lengthNm: perimeterNm(ring), fromNm, toNm: topNm }] : [];
}

function padTold(pad: Pad, choices: GroundChoices, system: MeasuringSystem): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, system);
  const { topNm, bottomNm } = padLevels(pad, choices);
  const found: Problem[] = [];
  const steel = choices.padBarsEachWay + choices.uprights > 0;
  const least = Math.min(...sidesOf(pad), pad.height.valueNm ?? 0);
  if (steel && 2 * choices.cover >= least) {
    const message = `A cover of ${say(choices.cover)} all round leaves no room for steel in what is ${say(least)} across: it counts none there.`;
    found.push(problem("cover-wider-than-pad", "choices.cover", message));
  }
  if (system === "imperial" && bottomNm < 0 && -bottomNm < inches(12)) {
    const message = `Its underside is ${say(-bottomNm)} below the ground: IRC R403.1.4 has at least 12 in, and below the frost where it freezes.`;
    found.push(problem("shallow-footing", "height", message));
  }
  if (bottomNm >= 0) {
    const message = `It stands ${say(bottomNm)} above the ground: nothing is dug.`;
    found.push(problem("formation-above-ground", "top", message));
  }
  if (topNm < 0) {
    const message = `Its top lies ${say(-topNm)} below the ground: what stands over it is filled in again.`;
    found.push(problem("below-ground", "top", message));
  }
  return found;
}

/** Lays out one pad or tube; there are as many as were counted. */
export function layOutPad(pad: Pad, _assembly: Assembly, site: Site): Layout {
  const { context } = site;
  const choices = groundChoicesOf(pad, context.system);
  const say = (nm: Nanometres | null) => formatLength(nm ?? 0, context.system);
  const one = pad.form === "tube" ? "tube footing" : "pad";
  return laidInGround(
    {
      name: pad.name,
      choices,
      prisms: padPrisms(pad, choices),
      faces: padFaces(pad, choices),
      expectedBars: 2 * choices.padBarsEachWay + choices.uprights,
      steel: () => padBars(pad, choices),
      polygon: [],
      repeats: pad.count,
      words: {
        name: pad.name,
        countWords: manyWords(pad.count),
        formWords: pad.count === 1 ? one : `${one}s`,
        sizeWords:
          pad.form === "tube"
            ? `${say(pad.diameter.valueNm)} across`
            : `${say(pad.length.valueNm)} × ${say(pad.width.valueNm)}`,
        heightWords: say(pad.height.valueNm),
        fillWords: say(choices.fill),
        blindingWords: say(choices.blinding),
      },
      told: padTold(pad, choices, context.system),
      draw: () => padSection(pad, context) ?? { kind: "none" },
    },
    site,
  );
}

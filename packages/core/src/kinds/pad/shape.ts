import { differenceRings, type Polygon, polygonArea, signedArea } from "../../geometry";
import type { GroundChoices } from "../../ground/choices";
import type { Prism } from "../../ground/prism";
import type { Nanometres } from "../../units";
import type { Pad } from "./schema";

/** Sides of the polygon that stands for a circle; it has the circle's area, so that volumes are a tube's own. */
const SIDES = 48;

function circle(diameterNm: Nanometres): Polygon {
  const turn = (2 * Math.PI) / SIDES;
  const radiusNm = (diameterNm / 2) * Math.sqrt(turn / Math.sin(turn));
  return Array.from({ length: SIDES }, (_, index) => ({
    xNm: Math.round(radiusNm * Math.cos(turn * index)),
    yNm: Math.round(radiusNm * Math.sin(turn * index)),
  }));
}

function rectangle(lengthNm: Nanometres, widthNm: Nanometres): Polygon {
  const [x, y] = [Math.round(lengthNm / 2), Math.round(widthNm / 2)];
  return [
    { xNm: -x, yNm: -y },
    { xNm: x, yNm: -y },
    { xNm: x, yNm: y },
    { xNm: -x, yNm: y },
  ];
}

/** The pad on plan, its middle at the origin, so much larger on every side. */
export const padRing = (pad: Pad, beyondNm: Nanometres): Polygon =>
  pad.form === "tube"
    ? circle((pad.diameter.valueNm ?? 0) + 2 * beyondNm)
    : rectangle((pad.length.valueNm ?? 0) + 2 * beyondNm, (pad.width.valueNm ?? 0) + 2 * beyondNm);

export type PadLevels = { readonly topNm: Nanometres; readonly bottomNm: Nanometres; readonly dugNm: Nanometres };

export function padLevels(pad: Pad, { blinding, fill }: Pick<GroundChoices, "blinding" | "fill">): PadLevels {
  const topNm = pad.top.valueNm ?? 0;
  const bottomNm = topNm - Math.max(0, pad.height.valueNm ?? 0);
  return { topNm, bottomNm, dugNm: bottomNm - blinding - fill };
}

export const padAreaM2 = (pad: Pad): number => polygonArea(padRing(pad, 0));

/** One pad with what is under it, dug for it and filled in round it. */
export function padPrisms(pad: Pad, choices: GroundChoices): Prism[] {
  const { topNm, bottomNm, dugNm } = padLevels(pad, choices);
  const ring = padRing(pad, 0);
  const beyondNm = choices.workingSpace + Math.round((choices.batter * Math.max(0, -dugNm)) / 2);
  const dug = padRing(pad, beyondNm);
  const round = beyondNm === 0 ? [] : ringApart(dug, ring);
  const prism = (id: string, role: string, of: Polygon, fromNm: Nanometres, toNm: Nanometres): Prism[] =>
    toNm > fromNm ? [{ id, role, ring: of, fromNm, toNm }] : [];
  return [
    ...prism("pad", "pad-concrete", ring, bottomNm, topNm),
    ...prism("blinding", "blinding", ring, bottomNm - choices.blinding, bottomNm),
    ...prism("fill", "fill", ring, dugNm, bottomNm - choices.blinding),
    ...round.flatMap((part, index) => prism(`backfill-${index + 1}`, "backfill", part, dugNm, 0)),
    ...prism("backfill-over", "backfill", ring, topNm, 0),
    ...prism("dig", "dig", dug, dugNm, 0),
  ];
}

/** What lies between two rings, in two halves: neither has a hole. */
function ringApart(outer: Polygon, inner: Polygon): Polygon[] {
  const far = Math.max(...outer.map(({ xNm, yNm }) => Math.max(Math.abs(xNm), Math.abs(yNm)))) + 1;
  const half = (from: number, to: number): Polygon => [
    { xNm: -far, yNm: from },
    { xNm: far, yNm: from },
    { xNm: far, yNm: to },
    { xNm: -far, yNm: to },
  ];
  return [half(-far, 0), half(0, far)]
    .flatMap((kept) => differenceRings(outer, [inner, kept]))
    .filter((ring) => signedArea(ring) > 0);
}

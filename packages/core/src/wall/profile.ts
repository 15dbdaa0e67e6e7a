import type { Nanometres } from "../units";
import type { Wall } from "./schema";

/** The top of the wall from its left end to its right, as a line of points. */
export type Profile = readonly { readonly xNm: Nanometres; readonly yNm: Nanometres }[];

/** Level at the wall's height while a figure of its shape is not measured. */
export function profileOf(wall: Pick<Wall, "length" | "height" | "shape">): Profile {
  const lengthNm = wall.length.valueNm ?? 0;
  const heightNm = wall.height.valueNm ?? 0;
  const level: Profile = [
    { xNm: 0, yNm: heightNm },
    { xNm: lengthNm, yNm: heightNm },
  ];
  const { shape } = wall;
  switch (shape.how) {
    case "level":
      return level;
    case "slope": {
      const highNm = shape.highHeight.valueNm;
      if (highNm === null) return level;
      return [
        { xNm: 0, yNm: shape.up === "left" ? highNm : heightNm },
        { xNm: lengthNm, yNm: shape.up === "left" ? heightNm : highNm },
      ];
    }
    case "gable": {
      const [peakNm, atNm] = [shape.peakHeight.valueNm, shape.peakAt.valueNm];
      if (peakNm === null || atNm === null) return level;
      return [
        { xNm: 0, yNm: heightNm },
        { xNm: atNm, yNm: peakNm },
        { xNm: lengthNm, yNm: heightNm },
      ];
    }
    case "points": {
      const between = shape.points.flatMap(({ at, height }) =>
        at.valueNm === null || height.valueNm === null ? [] : [{ xNm: at.valueNm, yNm: height.valueNm }],
      );
      const last = between[between.length - 1];
      const end = last && last.xNm < lengthNm ? [{ xNm: lengthNm, yNm: last.yNm }] : [];
      return [{ xNm: 0, yNm: heightNm }, ...between, ...end];
    }
  }
}

/** Length along the top, up and down its slopes. A step straight up or down is none of it. */
export const runOf = (profile: Profile): Nanometres =>
  profile.reduce((sum, to, index) => {
    const from = profile[index - 1];
    return !from || from.xNm === to.xNm ? sum : sum + Math.round(Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm));
  }, 0);

/** Rise over run of each stretch: 0.5 is 6 in 12. */
export const slopeOf = (from: Profile[number], to: Profile[number]): number =>
  to.xNm === from.xNm ? 0 : (to.yNm - from.yNm) / (to.xNm - from.xNm);

/** Height of the wall at a place along it, to the whole nanometre. */
export function heightAt(profile: Profile, xNm: Nanometres): Nanometres {
  for (let index = 1; index < profile.length; index += 1) {
    const [from, to] = [profile[index - 1], profile[index]];
    if (!from || !to || xNm > to.xNm) continue;
    return Math.round(from.yNm + slopeOf(from, to) * (xNm - from.xNm));
  }
  return profile[profile.length - 1]?.yNm ?? 0;
}

/** Plates measured upright: along a slope they are thicker than they lie. */
export function undersideAt(profile: Profile, xNm: Nanometres, platesNm: Nanometres): Nanometres {
  let lowest = Number.POSITIVE_INFINITY;
  for (let index = 1; index < profile.length; index += 1) {
    const [from, to] = [profile[index - 1], profile[index]];
    if (!from || !to || xNm < from.xNm || xNm > to.xNm) continue;
    const slope = slopeOf(from, to);
    const topNm = from.yNm + slope * (xNm - from.xNm);
    lowest = Math.min(lowest, Math.round(topNm - platesNm * Math.hypot(1, slope)));
  }
  return Number.isFinite(lowest) ? lowest : heightAt(profile, xNm) - platesNm;
}

/** The lowest underside over a stretch: at its ends or at a break between them. */
export function lowestUnderside(
  profile: Profile,
  fromNm: Nanometres,
  toNm: Nanometres,
  platesNm: Nanometres,
): Nanometres {
  const places = [fromNm, toNm, ...profile.map((point) => point.xNm).filter((xNm) => xNm > fromNm && xNm < toNm)];
  return Math.min(...places.map((xNm) => undersideAt(profile, xNm, platesNm)));
}

export const highestOf = (profile: Profile): Nanometres => Math.max(...profile.map((point) => point.yNm));

/** Area under the profile in square metres: a trapezium for each stretch. */
export function areaUnder(profile: Profile): number {
  let sum = 0;
  for (let index = 1; index < profile.length; index += 1) {
    const [from, to] = [profile[index - 1], profile[index]];
    if (from && to) sum += ((to.xNm - from.xNm) / 1e9) * ((from.yNm + to.yNm) / 2e9);
  }
  return sum;
}

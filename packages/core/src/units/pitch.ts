import { type Parsed, parsed, refused } from "../problems/problem";
import { readEntry } from "./entryReader";
import type { MeasuringSystem } from "./length";
import { normaliseMarks } from "./lengthTokens";

/** Rise over run: the tangent of the slope. 6 in 12 is 0.5, 45 degrees is 1. */
export type Pitch = number;

const degreesOf = (pitch: Pitch): number => (Math.atan(pitch) * 180) / Math.PI;
const shown = (value: number, places: number): string => String(Number(value.toFixed(places)));

/** The four ways people say a pitch, in the order of the job's own: rise in 12, degrees, ratio, percentage. */
export function pitchWays(pitch: Pitch, system: MeasuringSystem): readonly string[] {
  const inTwelve = `${shown(pitch * 12, 2)} in 12`;
  const degrees = `${shown(degreesOf(pitch), 2)}°`;
  const ratio = pitch === 0 ? "level" : pitch < 1 ? `1:${shown(1 / pitch, 2)}` : `${shown(pitch, 2)}:1`;
  const percent = `${shown(pitch * 100, 2)} %`;
  return system === "imperial" ? [inTwelve, degrees, ratio, percent] : [degrees, ratio, percent, inTwelve];
}

/** Steeper than 85 degrees is a wall. */
export const STEEPEST: Pitch = Math.tan((85 * Math.PI) / 180);

/**
 * Reads a pitch written in any of its four ways: `6 in 12` or `6/12`, `30°` or `30 deg`, `1:3`, `50 %`. A bare figure is a
 * rise in 12 in an imperial job and degrees in a metric one.
 */
export function parsePitch(text: string, system: MeasuringSystem): Parsed<Pitch> {
  const entry = normaliseMarks(text)
    .replace(/\s*(?:°|degrees?\b|deg\b)\s*/, "° ")
    .trim();
  if (entry === "") return refused("empty", "Type a pitch: 6 in 12, 30°, 1:3 or 50 %.");
  const of = (part: string) => readEntry(part, "bare", system);
  const pair = /^(.+?)(?: in |:)(.+)$/.exec(entry) ?? /^(\S+)\/(\S+)$/.exec(entry);
  if (pair?.[1] && pair[2] && !/[°%]/.test(entry)) {
    const [rise, run] = [of(pair[1]), of(pair[2])];
    if (!rise.ok) return rise;
    if (!run.ok) return run;
    if (run.value.equals(0))
      return refused("divide-by-zero", "A pitch rises over some run: the second figure is not 0.");
    return within(rise.value.div(run.value).valueOf());
  }
  const unit = /[°%]$/.exec(entry)?.[0] ?? (system === "imperial" ? "in 12" : "°");
  const amount = of(entry.replace(/[°%]$/, ""));
  if (!amount.ok) return amount;
  const value = amount.value.valueOf();
  if (unit === "%") return within(value / 100);
  return unit === "°" ? fromDegrees(value) : within(value / 12);
}

const TOO_STEEP = "A pitch is from level to 85°. Check which way it is written.";

const within = (pitch: Pitch): Parsed<Pitch> =>
  pitch >= 0 && pitch <= STEEPEST ? parsed(pitch) : refused("too-steep", TOO_STEEP);

const fromDegrees = (degrees: number): Parsed<Pitch> =>
  degrees >= 0 && degrees <= 85 ? parsed(Math.tan((degrees * Math.PI) / 180)) : refused("too-steep", TOO_STEEP);

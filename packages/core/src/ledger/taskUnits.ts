import Big from "big.js";
import { isMeasuredUnit, type MeasuredUnit } from "../assemblies/records";
import type { MeasuringSystem } from "../units";

/** What hours are said for, and how much of the base unit it is. */
type TaskUnit = { readonly words: string; readonly base: string };

/** So much that the hours of a task have figures before the point: 100 sq ft are 9.290304 m² (NIST SP 811, appendix B). */
const MEASURED: Record<MeasuredUnit, Record<MeasuringSystem, TaskUnit>> = {
  length: { imperial: { words: "100 ft", base: "30.48" }, metric: { words: "m", base: "1" } },
  area: { imperial: { words: "100 sq ft", base: "9.290304" }, metric: { words: "m²", base: "1" } },
  volume: { imperial: { words: "cu yd", base: "0.764554857984" }, metric: { words: "m³", base: "1" } },
  liquid: { imperial: { words: "US gal", base: "0.003785411784" }, metric: { words: "L", base: "0.001" } },
  weight: { imperial: { words: "100 lb", base: "45.359237" }, metric: { words: "100 kg", base: "100" } },
  hour: { imperial: { words: "hour", base: "1" }, metric: { words: "hour", base: "1" } },
};

/** What a task's hours are said for in a measuring system: `sheet`, `100 sq ft`, `m²`. */
export const taskUnit = (unit: string, system: MeasuringSystem): TaskUnit =>
  isMeasuredUnit(unit) ? MEASURED[unit][system] : { words: unit, base: "1" };

/** Hours for one base unit as they are said in a measuring system: 0.08 h a m² is 0.7432 h for 100 sq ft. */
export const hoursShown = (hoursPerUnit: string, unit: string, system: MeasuringSystem): string =>
  new Big(hoursPerUnit).times(taskUnit(unit, system).base).round(4, Big.roundHalfUp).toString();

/** Hours as they were typed, for one base unit: kept so fine that they are shown again as they were typed. */
export const hoursStored = (typed: string, unit: string, system: MeasuringSystem): string =>
  new Big(typed).div(taskUnit(unit, system).base).round(8, Big.roundHalfUp).toFixed();

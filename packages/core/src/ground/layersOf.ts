import type { MeasuringSystem, Nanometres } from "../units";
import { type GroundChoices, groundChoicesOf } from "./choices";

/** A layer as it is chosen, from the top down: by its role, how thick it is. */
export type ChosenLayer = { readonly role: string; readonly words: string; readonly thickNm: Nanometres };

type Layered = {
  readonly name: "screed" | "insulation" | "membrane" | "blinding" | "fill";
  readonly role: string;
  readonly words: string;
};

const UNDER_CONCRETE: readonly Layered[] = [
  { name: "membrane", role: "ground-membrane", words: "Membrane" },
  { name: "insulation", role: "ground-insulation", words: "Insulation" },
  { name: "blinding", role: "blinding", words: "Blinding" },
  { name: "fill", role: "fill", words: "Fill" },
];
const SCREED: Layered = { name: "screed", role: "screed", words: "Screed" };

const thickness = (value: GroundChoices[Layered["name"]]): Nanometres | undefined =>
  value === true ? 0 : typeof value === "number" && value > 0 ? value : undefined;

/** What lies over the concrete and beneath it, as it is chosen and offered: what is left out is not there. */
export function chosenLayers(
  part: Parameters<typeof groundChoicesOf>[0],
  offered: readonly string[],
  system: MeasuringSystem,
): { readonly over: readonly ChosenLayer[]; readonly beneath: readonly ChosenLayer[] } {
  const choices = groundChoicesOf(part, system);
  const there = (layers: readonly Layered[]): ChosenLayer[] =>
    layers.flatMap(({ name, role, words }) => {
      const thickNm = offered.includes(name) ? thickness(choices[name]) : undefined;
      return thickNm === undefined ? [] : [{ role, words, thickNm }];
    });
  return { over: there([SCREED]), beneath: there(UNDER_CONCRETE) };
}

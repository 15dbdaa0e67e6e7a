import type { MeasuringSystem } from "../units";
import type { Assembly, AssemblyPart } from "./schema";

/** An assembly to begin from. Its id is made from its name when it is first saved. */
export const blankAssembly = (
  id: string,
  name: string,
  system: MeasuringSystem,
  appliesTo: AssemblyPart,
): Assembly => ({
  schemaVersion: 6,
  id,
  version: 1,
  name,
  about: "",
  appliesTo,
  system,
  tables: [],
  parameters: [],
  rules: [],
  wording: [],
  examples: [],
});

/** Everything of one thing that is counted: so many of this and of that for each, and so long to fit it. */
export const plainSet = (id: string, name: string, system: MeasuringSystem): Assembly => ({
  ...blankAssembly(id, name, system, "spots"),
  about: "So many of each thing for every one that is counted.",
  parameters: [
    { name: "hoursEach", label: "Hours for one", kind: "number", default: 0.5, least: 0, most: 100 },
    { name: "partsEach", label: "Parts for one", kind: "number", default: 3, least: 0, most: 1000 },
  ],
  rules: [
    {
      name: "mainItem",
      label: "Main item",
      trade: "Joinery",
      phase: "Finish",
      formula: "count",
      unit: "piece",
      item: "door/leaf",
      buying: "whole",
      sentence: "One for each.",
    },
    {
      name: "parts",
      label: "Parts",
      trade: "Joinery",
      phase: "Finish",
      formula: "count * partsEach",
      unit: "piece",
      item: "door/hinge",
      buying: "whole",
      sentence: "So many for each.",
    },
    {
      name: "fitting",
      label: "Fitting",
      trade: "Joinery",
      phase: "Finish",
      formula: "count * hoursEach * 1 hour",
      unit: "hour",
      item: "",
      buying: "whole",
      sentence: "So long for each.",
    },
  ],
  wording: [{ text: "Supply and fit {count}." }],
  examples: [
    {
      name: "Two of them",
      figures: {},
      openings: [],
      counts: { count: 2 },
      choices: { hoursEach: 0.5, partsEach: 3 },
      expected: [
        { rule: "mainItem", quantity: 2 },
        { rule: "parts", quantity: 6 },
        { rule: "fitting", quantity: 1 },
      ],
      source: "Arithmetic",
    },
  ],
});

/** A copy under a name and id of its own, its versions begun anew. */
export const copyAssembly = (from: Assembly, id: string, name: string): Assembly => ({ ...from, id, name, version: 1 });

/** A name as an id that no other has: small letters, digits, hyphens. */
export function assemblyId(name: string, taken: ReadonlySet<string>): string {
  const plain = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 50);
  const base = plain || "assembly";
  if (!taken.has(base)) return base;
  let number = 2;
  while (taken.has(`${base}-${number}`)) number += 1;
  return `${base}-${number}`;
}

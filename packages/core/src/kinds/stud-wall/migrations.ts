import { recordOf, recordsOf } from "../../migrations/fields";
import type { Migration } from "../../migrations/migrate";
import { LEAST_BLOCKING_NM, LEAST_SPACING_NM, unaskedFramingParameters, unitAllowances } from "./parameters";

/** Spacings below what can be built, which were allowed before: at their least. */
export function withinLimits(parameters: Record<string, unknown>): Record<string, unknown> {
  const atLeast = (name: string, leastNm: number) => {
    const choice = recordOf(parameters[name]);
    const { value } = choice;
    return typeof value === "number" && value > 0 && value < leastNm ? { [name]: { ...choice, value: leastNm } } : {};
  };
  return { ...parameters, ...atLeast("spacingNm", LEAST_SPACING_NM), ...atLeast("blockingEveryNm", LEAST_BLOCKING_NM) };
}

export const studWallMigrations: readonly Migration[] = [
  {
    // Notes and photos on every part; walls that stand on a plan, with corners and meeting walls known from it.
    to: 2,
    name: "notes-photos-and-plan",
    up: (wall) => ({
      ...wall,
      storey: wall.storey === "" ? "Ground" : wall.storey,
      notes: "",
      photos: [],
      plan: null,
      ends: { left: "free", right: "free" },
      meetings: [],
    }),
  },
  {
    // Framed by an assembly of its own choice and version; sloped tops; walls built more than once.
    to: 3,
    name: "framed-by-assemblies",
    up: (wall) => {
      const parameters = recordOf(wall.parameters);
      const outside = recordOf(parameters.sheathed).value === true;
      return {
        ...wall,
        shape: { how: "level" },
        repeats: 1,
        assembly: { id: outside ? "outside-wall" : "inside-wall", version: 1 },
        parameters: { ...unaskedFramingParameters(), ...parameters },
        choices: {},
      };
    },
  },
  {
    // Openings by unit size, and placed by other ways than from the left end.
    to: 4,
    name: "unit-sizes-and-places",
    up: (wall) => ({
      ...wall,
      openings: recordsOf(wall.openings).map((each) => ({ ...each, measuredAs: "rough", along: "from-left" })),
      parameters: { ...unitAllowances("imperial"), ...recordOf(wall.parameters) },
    }),
  },
  {
    to: 5,
    name: "spacings-that-can-be-built",
    up: (wall) => ({ ...wall, parameters: withinLimits(recordOf(wall.parameters)) }),
  },
];

import { recordOf, recordsOf } from "../../migrations/fields";
import type { Migration } from "../../migrations/migrate";
import { type Earlier, FIRST_ALLOWANCES, FIRST_UNASKED } from "./earlierFraming";
import { LEAST_BLOCKING_NM, LEAST_SPACING_NM } from "./parameters";

/** Spacings below what can be built, which were allowed before: at their least. */
export function withinLimits(parameters: Record<string, unknown>): Record<string, unknown> {
  const atLeast = (name: string, leastNm: number) => {
    const choice = recordOf(parameters[name]);
    const { value } = choice;
    return typeof value === "number" && value > 0 && value < leastNm ? { [name]: { ...choice, value: leastNm } } : {};
  };
  return { ...parameters, ...atLeast("spacingNm", LEAST_SPACING_NM), ...atLeast("blockingEveryNm", LEAST_BLOCKING_NM) };
}

/**
 * What was confirmed stands among the choices, under the name formulas know it by. What was assumed was never in force beside
 * the assembly and the house, so it goes.
 */
export function framingAmongChoices({ parameters, ...part }: Earlier): Earlier {
  const confirmed = Object.entries(recordOf(parameters)).flatMap(([key, each]) => {
    const { value, assumed } = recordOf(each);
    return assumed === false ? [[key.replace(/Nm$/, ""), value] as const] : [];
  });
  return { ...part, choices: { ...recordOf(part.choices), ...Object.fromEntries(confirmed) } };
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
        parameters: { ...FIRST_UNASKED, ...parameters },
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
      parameters: { ...FIRST_ALLOWANCES, ...recordOf(wall.parameters) },
    }),
  },
  {
    to: 5,
    name: "spacings-that-can-be-built",
    up: (wall) => ({ ...wall, parameters: withinLimits(recordOf(wall.parameters)) }),
  },
  { to: 6, name: "framing-among-the-choices", up: framingAmongChoices },
];

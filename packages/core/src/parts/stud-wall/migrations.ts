import type { Migration } from "../../migrations/migrate";
import { unaskedFramingParameters } from "./parameters";

const record = (value: unknown): Record<string, unknown> =>
  typeof value === "object" && value !== null ? { ...value } : {};

export const studWallMigrations: readonly Migration[] = [
  {
    // Notes and photos on every part; walls that stand on a plan, with corners and meeting walls known from it.
    to: 2,
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
    up: (wall) => {
      const parameters = record(wall.parameters);
      const outside = record(parameters.sheathed).value === true;
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
];

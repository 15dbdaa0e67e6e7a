import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import { type Assembly, type FramingRules, findAssembly, partContext } from "../assemblies";
import type { Drawing, ElevationDrawing } from "../drawing/drawing";
import { type FramingChoices, measured, type Opening, type StudWall, studWallKind, usualFraming } from "../kinds";
import type { MeasuringSystem, Nanometres } from "../units";

export { library, starterCompanySettings, starterPriceList };

export const contexts = { imperial: partContext("imperial", library), metric: partContext("metric", library) };

/** A starter assembly. Throws for one there is not. */
export function assemblyOf(system: MeasuringSystem, id = "inside-wall"): Assembly {
  const found = findAssembly({ id, version: 1 }, system, library);
  if (!found) throw new Error(`assemblyOf: the library has no ${system} "${id}"`);
  return found;
}

export function framingRulesOf(system: MeasuringSystem, id?: string): FramingRules {
  const { framing } = assemblyOf(system, id);
  if (!framing) throw new Error(`framingRulesOf: ${id} lays out no frame`);
  return framing;
}

type WallInput = {
  readonly lengthNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly spacingNm?: Nanometres;
  readonly studSize?: string;
  readonly topPlates?: number;
  readonly bearing?: boolean;
  readonly sheathed?: boolean;
  readonly openings?: readonly Opening[];
  /** Other choices, confirmed. */
  readonly choices?: Partial<FramingChoices>;
  readonly assemblyId?: string;
};

/** A measured wall for a test; what is not given is the default. */
export function wallOf(system: MeasuringSystem, input: WallInput): StudWall {
  const start = studWallKind.defaults("wall", "Test wall", contexts[system]);
  const { spacing, studSize, topPlates } = usualFraming(system);
  return {
    ...start,
    assembly: { id: input.assemblyId ?? start.assembly.id, version: 1 },
    length: measured(input.lengthNm, ""),
    height: measured(input.heightNm, ""),
    openings: [...(input.openings ?? [])],
    choices: {
      spacing: input.spacingNm ?? spacing,
      studSize: input.studSize ?? studSize,
      topPlates: input.topPlates ?? topPlates,
      bearing: input.bearing ?? false,
      sheathed: input.sheathed ?? false,
      ...input.choices,
    },
  };
}

export function openingOf(
  kind: Opening["kind"],
  id: string,
  at: { positionNm: Nanometres; widthNm: Nanometres; heightNm: Nanometres; sillNm?: Nanometres },
): Opening {
  return {
    id,
    kind,
    name: id,
    measuredAs: "rough",
    along: "from-left",
    position: measured(at.positionNm, ""),
    width: measured(at.widthNm, ""),
    height: measured(at.heightNm, ""),
    sill: measured(at.sillNm ?? 0, ""),
  };
}

/** The drawing of what is seen square on. Throws for any other. */
export function elevationOf(drawing: Drawing): ElevationDrawing {
  if (drawing.kind !== "elevation") throw new Error(`elevationOf: a drawing of kind "${drawing.kind}"`);
  return drawing;
}

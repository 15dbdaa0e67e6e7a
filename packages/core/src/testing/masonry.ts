import { countPart, type PartCount } from "../count";
import {
  type MasonryWall,
  masonryWallKind,
  type Opening,
  type Pier,
  pierKind,
  type Scalar,
  type WallShape,
} from "../kinds";
import { measured } from "../parts/dimension";
import type { MeasuringSystem, Nanometres } from "../units";
import { contexts, library } from "./library";

type Input = {
  readonly lengthNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly assemblyId?: string;
  readonly choices?: Readonly<Record<string, Scalar>>;
  readonly openings?: readonly Opening[];
  readonly shape?: WallShape;
  readonly ends?: MasonryWall["ends"];
};

/** A measured wall of masonry for a test; what is not given is the default. */
export function masonryOf(system: MeasuringSystem, input: Input): MasonryWall {
  const start = masonryWallKind.defaults("wall", "Test wall", contexts[system]);
  return {
    ...start,
    length: measured(input.lengthNm, ""),
    height: measured(input.heightNm, ""),
    assembly: { id: input.assemblyId ?? "brick-wall", version: 1 },
    choices: { ...input.choices },
    openings: [...(input.openings ?? [])],
    shape: input.shape ?? start.shape,
    ends: input.ends ?? start.ends,
  };
}

export function pierOf(
  system: MeasuringSystem,
  [lengthNm, widthNm, heightNm]: readonly [Nanometres, Nanometres, Nanometres],
  changes: Partial<Pier> = {},
): Pier {
  return {
    ...pierKind.defaults("pier", "Test pier", contexts[system]),
    length: measured(lengthNm, ""),
    width: measured(widthNm, ""),
    height: measured(heightNm, ""),
    ...changes,
  };
}

export const counted = (part: MasonryWall | Pier, system: MeasuringSystem = "metric", lib = library): PartCount =>
  countPart(part, system, lib);

export const quantityOf = ({ lines }: PartCount, rule: string): number =>
  lines.filter((line) => line.rule === rule).reduce((sum, line) => sum + line.quantity, 0);

/** How many units of a role are placed. */
export const placed = ({ pieces }: PartCount, role: string): number =>
  pieces.filter((piece) => piece.role === role).reduce((sum, piece) => sum + ("count" in piece ? piece.count : 1), 0);

export const said = ({ openPoints, problems }: PartCount): string =>
  [...openPoints, ...problems].map((each) => each.message).join(" | ");

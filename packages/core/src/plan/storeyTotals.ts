import { netAreaOfSurface, type StoreyTotals, type Surface, type SurfaceSide } from "../parts/surface";
import { toMetres } from "../units";
import { storeyLevels } from "./levels";
import type { JobPlan, StoreyPlan } from "./storeyPlan";
import { surfacesOf } from "./surfaces";

/** What a storey comes to: its rooms added up, its outside, and how high it is. Undefined while no room on it closes. */
export function storeyTotals(storey: StoreyPlan, plan: JobPlan): StoreyTotals | undefined {
  const surfaces = surfacesOf(storey);
  const { footprint } = storey;
  if (surfaces.length === 0 || !footprint) return undefined;
  const sum = (side: SurfaceSide, value: (surface: Surface) => number) =>
    surfaces.filter((surface) => surface.side === side).reduce((total, surface) => total + value(surface), 0);
  const areaOf = (surface: Surface) => surface.areaM2;
  return {
    floorArea: sum("floor", areaOf),
    ceilingArea: sum("ceiling", areaOf),
    wallArea: sum("wall", areaOf),
    netWallArea: sum("wall", netAreaOfSurface),
    footprintArea: footprint.area,
    outsidePerimeter: toMetres(Math.round(footprint.perimeterNm)),
    floorToFloor: toMetres(storeyLevels(plan).get(storey.name)?.toNextNm ?? 0),
    surfaces,
  };
}

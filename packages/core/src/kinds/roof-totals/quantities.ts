import type { QuantityValues, RowValues } from "../../parts/quantity";
import { toMetres } from "../../units";
import type { RoofTotals } from "./schema";

/** Both areas, from the one that was taken; nothing while area or pitch is missing. */
export function areasOf({ area, areaTaken, pitch }: RoofTotals): { slopeM2: number; planM2: number } | undefined {
  if (area.value === null || pitch.value === null) return undefined;
  const secant = Math.hypot(1, pitch.value);
  return areaTaken === "slope"
    ? { slopeM2: area.value, planM2: area.value / secant }
    : { slopeM2: area.value * secant, planM2: area.value };
}

const lengths = ({ eaves, rakes, ridges, hips, valleys, wallTops, wallSides, plate }: RoofTotals) => ({
  eaves: toMetres(eaves.valueNm ?? 0),
  rakes: toMetres(rakes.valueNm ?? 0),
  ridges: toMetres(ridges.valueNm ?? 0),
  hips: toMetres(hips.valueNm ?? 0),
  valleys: toMetres(valleys.valueNm ?? 0),
  wallTops: toMetres(wallTops.valueNm ?? 0),
  wallSides: toMetres(wallSides.valueNm ?? 0),
  plateHeight: toMetres(plate.valueNm ?? 0),
});

/** The mean length of a slope from eave to top: what its area is over its eaves. */
export const meanSlopeM = (part: RoofTotals): number => {
  const eaves = toMetres(part.eaves.valueNm ?? 0);
  return eaves > 0 ? (areasOf(part)?.slopeM2 ?? 0) / eaves : 0;
};

/** What formulas know of a roof; what only a drawing could tell is nothing: overhangs, gables, what lies in the slopes. */
export function totalsQuantities(part: RoofTotals): QuantityValues {
  const areas = areasOf(part);
  if (!areas) return {};
  return {
    area: areas.slopeM2,
    deckArea: areas.slopeM2,
    innerArea: areas.slopeM2,
    laidOut: 0,
    planArea: areas.planM2,
    outlineArea: areas.planM2,
    soffitArea: 0,
    gableArea: 0,
    dormerWallArea: 0,
    dormers: 0,
    roofWindows: 0,
    chimneys: 0,
    saddles: 0,
    openingRims: 0,
    chimneyRims: 0,
    dormerRims: 0,
    flatArea: 0,
    ...lengths(part),
    breaks: 0,
    slopeCount: 1,
    height: 0,
    pitch: part.pitch.value ?? 0,
  };
}

/** All of its eaves as one run: how many there are is not among its figures. */
export function eaveRow(part: RoofTotals): readonly RowValues[] {
  const runLength = toMetres(part.eaves.valueNm ?? 0);
  return runLength === 0 ? [] : [{ runLength }];
}

/** All of it as one slope. */
export function totalsRow(part: RoofTotals): readonly RowValues[] {
  const areas = areasOf(part);
  const eave = toMetres(part.eaves.valueNm ?? 0);
  if (!areas || eave === 0) return [];
  return [
    {
      area: areas.slopeM2,
      planArea: areas.planM2,
      pitch: part.pitch.value ?? 0,
      slopeLength: meanSlopeM(part),
      slopeWidth: eave,
      eave,
    },
  ];
}

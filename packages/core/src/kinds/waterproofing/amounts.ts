import { toMetres } from "../../units";
import type { Waterproofing } from "./schema";

/** What is kept dry, in metres and square metres; undefined while a figure is missing. */
export type DryAmounts = {
  readonly wallArea: number;
  readonly wallHeight: number;
  /** Along the walls, as if all were as high. */
  readonly wallLength: number;
  readonly floorArea: number;
  readonly channelLength: number;
  readonly channelCorners: number;
};

/** What a sump takes out of the floor of a room: a chamber 450 mm square (common practice). An area that is typed is less it already. */
export const SUMP_M2 = 0.45 ** 2;

const TYPED_ROUND = 4;

/** Round a floor of which only the area is known: as round a square. */
const roundSquare = (area: number): number => TYPED_ROUND * Math.sqrt(area);

export function dryAmounts(part: Waterproofing): DryAmounts | undefined {
  const { found, wallArea, floorArea, wallHeight, channelLength, channelCorners } = part;
  if (part.roomId !== "") {
    if (!found) return undefined;
    return {
      wallArea: found.wallArea,
      wallHeight: found.height,
      wallLength: found.perimeter,
      floorArea: Math.max(0, found.floorArea - part.sumps * SUMP_M2),
      channelLength: channelLength.valueNm === null ? found.perimeter : toMetres(channelLength.valueNm),
      channelCorners: found.corners,
    };
  }
  // One that was left out is not there.
  if (wallArea.value === null && floorArea.value === null) return undefined;
  const height = toMetres(wallHeight.valueNm ?? 0);
  return {
    wallArea: wallArea.value ?? 0,
    wallHeight: height,
    wallLength: height > 0 ? (wallArea.value ?? 0) / height : 0,
    floorArea: floorArea.value ?? 0,
    channelLength: channelLength.valueNm === null ? roundSquare(floorArea.value ?? 0) : toMetres(channelLength.valueNm),
    channelCorners,
  };
}

import { type Nanometres, toFeet } from "./length";

/**
 * Board feet by nominal size: thickness in × width in × length ft ÷ 12.
 * Source: American Softwood Lumber Standard PS 20.
 */
export const boardFeet = (nominalThicknessIn: number, nominalDepthIn: number, lengthNm: Nanometres): number =>
  (nominalThicknessIn * nominalDepthIn * toFeet(lengthNm)) / 12;

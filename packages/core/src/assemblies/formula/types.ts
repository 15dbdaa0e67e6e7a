import type { QuantityKind } from "../../kinds";
import { AREA, COUNT, type FormulaType, LENGTH, TEXT, VOLUME, YES_NO } from "../../units";

export * from "../../units/quantityType";

const BY_KIND: Record<QuantityKind, FormulaType> = {
  count: COUNT,
  length: LENGTH,
  area: AREA,
  volume: VOLUME,
  "yes-no": YES_NO,
  choice: TEXT,
};
export const typeOfKind = (kind: QuantityKind): FormulaType => BY_KIND[kind];

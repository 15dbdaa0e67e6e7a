import { type Books, masonryUnitSchema, sectionSchema, sheetSizeSchema } from "@wide-porch/core";
import { z } from "zod";
import sections from "./sections.json";
import sheets from "./sheets.json";
import units from "./units.json";

const byId = <T extends { readonly id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

/** Timber, sheets and masonry units that ship with the product, checked as they are loaded. */
export const book: Books = {
  sections: byId(z.array(sectionSchema).parse(sections)),
  sheets: byId(z.array(sheetSizeSchema).parse(sheets)),
  units: byId(z.array(masonryUnitSchema).parse(units)),
};

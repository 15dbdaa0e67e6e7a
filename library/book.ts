import { type SectionBook, type SheetBook, sectionSchema, sheetSizeSchema } from "@wide-porch/core";
import { z } from "zod";
import sections from "./sections.json";
import sheets from "./sheets.json";

const byId = <T extends { readonly id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

/** Timber and sheets that ship with the product, checked as they are loaded. */
export const book: { readonly sections: SectionBook; readonly sheets: SheetBook } = {
  sections: byId(z.array(sectionSchema).parse(sections)),
  sheets: byId(z.array(sheetSizeSchema).parse(sheets)),
};

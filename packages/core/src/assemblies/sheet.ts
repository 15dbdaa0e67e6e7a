import { z } from "zod";

/** A size of sheet as bought. */
export const sheetSizeSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  system: z.enum(["imperial", "metric"]),
  use: z.enum(["sheathing", "board"]),
  widthNm: z.int().positive(),
  heightNm: z.int().positive(),
});
export type SheetSize = z.infer<typeof sheetSizeSchema>;
export type SheetBook = Readonly<Record<string, SheetSize>>;

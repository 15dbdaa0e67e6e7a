import { z } from "zod";

/** What share of tax a cost is charged with: the usual one, a lower one that the law has for some work, or none. */
export const TAX_CLASSES = ["standard", "reduced", "none"] as const;
export const taxClassSchema = z.enum(TAX_CLASSES);
export type TaxClass = z.infer<typeof taxClassSchema>;

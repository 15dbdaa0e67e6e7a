import { z } from "zod";

/** Who writes, as the head of the paper says it. */
export const letterheadSchema = z.object({
  name: z.string(),
  address: z.string(),
  /** Telephone, mail, numbers of registers: a line each. */
  details: z.array(z.string().max(300)).max(20),
  /** The company's mark, by the id of its picture, which never changes. */
  mark: z.uuid().nullable(),
});
export type Letterhead = z.infer<typeof letterheadSchema>;

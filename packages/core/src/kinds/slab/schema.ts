import { z } from "zod";
import { groundParameters, PLATE_CHOICES } from "../../ground/choices";
import { PLATE_EDGES, type Plate, plateFields } from "../../ground/plate/schema";
import { choicesThatStand } from "../../parts/choicesThatStand";

/** What comes to something on a slab, in the order it is settled. */
export const SLAB_PARAMETERS = groundParameters(...PLATE_CHOICES);

/** A slab on the ground, as thick all over or thickened along its edges. */
export const slabSchema = z.object({
  kind: z.literal("slab"),
  schemaVersion: z.literal(1),
  ...plateFields,
  edgeForm: z.enum(PLATE_EDGES).extract(["plain", "beam"]),
  /** A slab has none: it is a raft that does. */
  ribs: z.array(z.never()).max(0),
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(SLAB_PARAMETERS),
});
export type Slab = z.infer<typeof slabSchema> & Pick<Plate, "settled">;

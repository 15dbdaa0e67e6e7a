import { z } from "zod";
import { groundParameters, PLATE_CHOICES } from "../../ground/choices";
import { MOST_RIBS, type Plate, plateFields, ribSchema } from "../../ground/plate/schema";
import { choicesThatStand } from "../../parts/choicesThatStand";

/** What comes to something on a raft, in the order it is settled. */
export const RAFT_PARAMETERS = groundParameters(...PLATE_CHOICES, "toeBars", "toeBar", "toeCrossSpacing");

/** A slab on beams round its edges and between them, one piece of concrete. */
export const raftSchema = z.object({
  kind: z.literal("raft"),
  schemaVersion: z.literal(1),
  ...plateFields,
  ribs: z.array(ribSchema).max(MOST_RIBS),
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(RAFT_PARAMETERS),
});
export type Raft = z.infer<typeof raftSchema> & Pick<Plate, "settled">;

import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { figureSchema } from "../../parts/figure";
import { assemblyRefSchema } from "../../parts/use";
import { WATERPROOFING_PARAMETERS, type WaterproofingChoices } from "./parameters";

/** Corners, outlets, sumps, pumps: of each. */
export const MOST_FITTINGS = 200;
const pieces = z.int().min(0).max(MOST_FITTINGS);

/** What is put in by the piece, with its word. */
export const DRY_PIECES = [
  ["outlets", "Outlets of the channel"],
  ["inspections", "Inspection ports"],
  ["flushings", "Flushing points"],
  ["sumps", "Sumps"],
  ["pumps", "Pumps"],
  ["batteries", "Batteries"],
  ["alarms", "Level alarms"],
] as const;
export type DryPiece = (typeof DRY_PIECES)[number][0];

/** Walls and floor below ground that are kept dry: typed, or those of a room. */
export const waterproofingSchema = z.object({
  kind: z.literal("waterproofing"),
  schemaVersion: z.literal(1),
  ...partBase,
  /** The room whose walls and floor they are; empty where the figures are typed. */
  roomId: z.string().max(80),
  /** Square metres; 0 leaves the stage out. */
  wallArea: figureSchema,
  floorArea: figureSchema,
  wallHeight: dimensionSchema,
  channelLength: dimensionSchema,
  channelCorners: pieces,
  outlets: pieces,
  inspections: pieces,
  flushings: pieces,
  sumps: pieces,
  pumps: pieces,
  batteries: pieces,
  alarms: pieces,
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(WATERPROOFING_PARAMETERS),
});

/** What the plan knows of the room: walls less openings, in metres and square metres. */
export type RoomBelow = {
  readonly name: string;
  readonly wallArea: number;
  readonly floorArea: number;
  readonly perimeter: number;
  readonly height: number;
  readonly corners: number;
};

export type Waterproofing = z.infer<typeof waterproofingSchema> & {
  readonly settled?: SettledChoices<WaterproofingChoices>;
  /** As the plan has its room. Never stored. */
  readonly found?: RoomBelow;
};

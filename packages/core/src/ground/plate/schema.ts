import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { dimensionSchema } from "../../parts/dimension";
import { assemblyRefSchema } from "../../parts/use";
import type { GroundChoices } from "../choices";

export const MOST_PLATE_EDGES = 60;
export const MOST_RIBS = 24;

/** One edge along the outside of the concrete; `toe`: whether an outward foot runs along it. */
export const plateEdgeSchema = z.object({
  id: z.string().min(1).max(40),
  length: dimensionSchema,
  turnDegrees: z.number().gt(-180).lt(180),
  toe: z.boolean(),
});
export type PlateEdge = z.infer<typeof plateEdgeSchema>;

/** A beam within the edges: along Edge A or across it, its middle so far from the outside; spaced evenly where nobody placed it. */
export const ribSchema = z.object({
  id: z.string().min(1).max(40),
  runs: z.enum(["along", "across"]),
  at: dimensionSchema,
  width: dimensionSchema,
  depth: dimensionSchema,
});
export type Rib = z.infer<typeof ribSchema>;

export const PLATE_EDGES = ["plain", "beam", "toe"] as const;
/** How a slab ends: as thick as it is; in a beam; in a beam with an outward foot along some of its edges. */
export type PlateEdgeForm = (typeof PLATE_EDGES)[number];

/** What a slab and a raft have alike. */
export const plateFields = {
  ...partBase,
  edges: z.array(plateEdgeSchema).min(3).max(MOST_PLATE_EDGES),
  /** Of the first corner on the plan of the storey, and the heading of the first edge. */
  place: z.object({ xNm: z.int(), yNm: z.int(), turnDegrees: z.number() }),
  edgeForm: z.enum(PLATE_EDGES),
  /** Top of the concrete above the ground as it is found; less than nothing below it. */
  top: dimensionSchema,
  thickness: dimensionSchema,
  beamWidth: dimensionSchema,
  /** From the top of the slab to the underside of the beam. */
  beamDepth: dimensionSchema,
  toeWidth: dimensionSchema,
  /** How thick the foot is; its underside is the beam's. */
  toeDepth: dimensionSchema,
  assembly: assemblyRefSchema,
};

/** A slab of concrete in the ground with what thickens it. */
export type Plate = z.infer<z.ZodObject<typeof plateFields>> & {
  readonly kind: string;
  readonly ribs: readonly Rib[];
  readonly choices: Readonly<Record<string, string | number | boolean>>;
  readonly settled?: SettledChoices<GroundChoices>;
};

export const hasBeams = ({ edgeForm }: Pick<Plate, "edgeForm">): boolean => edgeForm !== "plain";
export const hasToe = (plate: Pick<Plate, "edgeForm" | "edges">): boolean =>
  plate.edgeForm === "toe" && plate.edges.some(({ toe }) => toe);
